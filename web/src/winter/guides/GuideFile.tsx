import { Box, Button } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { guideTable, readGuideTable, type GuideInput } from '@steady-scatter/core/winter';
import { Download } from 'lucide-react';
import Papa from 'papaparse';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { say, speak } from '@steady-scatter/words/winter';
import type { DocFormProps } from '../../documents/DocPage.tsx';
import { useNotices } from '../../notices/notices.tsx';
import { FileDrop } from '../../ui/FileDrop.tsx';
import { saveFile } from '../../ui/saveFile.ts';
import { today } from '../../ui/today.ts';
import { WarningBox } from '../../ui/WarningBox.tsx';

/** The cells of a file, without the guard that a spreadsheet puts before what looks like a formula. */
export const cellsOf = (text: string): string[][] =>
  Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: true }).data.map((cells) =>
    cells.map((cell) => cell.replace(/^'(?=[=+\-@])/, '')),
  );

/** The version that is shown as a file, and a file as a new version beside those that are there. */
export function GuideFile({ input, set, at }: DocFormProps<GuideInput> & { at: number }) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const notices = useNotices();
  const version = input.versions[at]!;
  const save = () =>
    saveFile(
      say('winter.guide.fileName', { name: input.name, day: version.fromDay }),
      'text/csv',
      Papa.unparse(guideTable(input, version, speak), { escapeFormulae: true, newline: '\r\n' }),
    );
  const take = async (file: File) => {
    const text = await file.text();
    const read = toResult(() => readGuideTable(cellsOf(text), input, () => newId(), speak));
    if (read.error) {
      setTrouble(
        say('winter.guide.fileTrouble', {
          row: /\d+$/.exec(read.error.field)?.[0] ?? '1',
          what: speak(read.error.sentence),
        }),
      );
      return;
    }
    setTrouble(null);
    const next = { id: newId(), fromDay: today(), note: file.name.slice(0, 100), lines: read.value };
    const blank = input.versions.every(({ lines }) =>
      lines.every(({ situation }) => situation.trim() === ''),
    );
    set('versions', (blank ? [next] : [next, ...input.versions]) as never);
    notices.tell(say('winter.guide.imported', { count: read.value.length }));
  };
  return (
    <Box>
      <Button minHeight="touch" marginBottom="12px" onClick={save}>
        <Download size={18} /> {say('winter.guide.export')}
      </Button>
      {trouble && <WarningBox marginBottom="12px">{trouble}</WarningBox>}
      <FileDrop
        accept=".csv,.txt,text/csv"
        act={say('winter.guide.import')}
        onFile={(file) => void take(file)}
      >
        {say('winter.guide.importHow')}
      </FileDrop>
    </Box>
  );
}
