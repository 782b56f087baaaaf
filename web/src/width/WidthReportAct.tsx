import type { WidthTestInput } from '@steady-scatter/core/width';
import { FileText } from 'lucide-react';
import { useState } from 'react';
import { say } from '@steady-scatter/words/width';
import { loadPart } from '../api/lazyCall.ts';
import { useRigs } from '../kinds/useRigs.ts';
import { CommandButton } from '../ui/CommandButton.tsx';
import { dayText } from '../ui/dayText.ts';
import { useNotices } from '../notices/notices.tsx';
import { saveFile } from '../ui/saveFile.ts';

/** Saves the report of a width test as a PDF of one page. */
export function WidthReportAct({ input, isSample }: { input: WidthTestInput; isSample: boolean }) {
  const [isPending, setPending] = useState(false);
  const notices = useNotices();
  const { data: rigs = [] } = useRigs();
  async function save() {
    setPending(true);
    try {
      const { widthPdf } = await loadPart(() => import('./widthPdf.ts'));
      const machine = rigs.find(({ id }) => id === input.rig)?.input.name ?? '';
      const pdf = await widthPdf(input, machine, isSample, dayText(input.onDay));
      saveFile(`${input.name.trim()}.pdf`, 'application/pdf', pdf);
    } catch {
      notices.tell(say('width.report.failed'));
    } finally {
      setPending(false);
    }
  }
  return (
    <CommandButton
      icon={FileText}
      label={say('width.report.act')}
      loading={isPending}
      onClick={() => void save()}
    />
  );
}
