import type { SiteInput } from '@steady-scatter/core/ground';
import { FileText } from 'lucide-react';
import { useState } from 'react';
import { say } from '@steady-scatter/words/sites';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { loadPart } from '../api/lazyCall.ts';
import { CommandButton } from '../ui/CommandButton.tsx';
import { dayText } from '../ui/dayText.ts';
import { useNotices } from '../notices/notices.tsx';
import { saveFile } from '../ui/saveFile.ts';
import { today } from '../ui/today.ts';

/** Saves the plan of a site as a PDF. */
export function PlanAct({ site, isSample }: { site: SiteInput; isSample: boolean }) {
  const [isPending, setPending] = useState(false);
  const notices = useNotices();
  async function save() {
    setPending(true);
    try {
      const { sitePdf } = await loadPart(() => import('./plan/sitePdf.ts'));
      saveFile(
        say('sites.plan.file', { site: site.name.trim() }),
        'application/pdf',
        await sitePdf(site, isSample, dayText(today())),
      );
    } catch {
      notices.tell(say('sites.plan.failed'));
    } finally {
      setPending(false);
    }
  }
  useCommands([{ id: 'plan', label: say('sites.plan.command'), keys: 'p', run: () => void save() }]);
  return (
    <CommandButton
      icon={FileText}
      label={say('sites.plan.act')}
      loading={isPending}
      onClick={() => void save()}
    />
  );
}
