import { Button, chakra } from '@chakra-ui/react';
import { readTraysTable, traysTable, type WidthTestInput } from '@steady-scatter/core/width';
import { Download, Upload } from 'lucide-react';
import { useRef } from 'react';
import { say, speak } from '@steady-scatter/words/width';
import { errorText } from '../ui/errorText.ts';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { loadPart } from '../api/lazyCall.ts';
import { useNotices } from '../notices/notices.tsx';
import { saveFile } from '../ui/saveFile.ts';

const MAX_BYTES = 1_000_000;
const papa = async () => (await loadPart(() => import('papaparse'))).default;

/** The trays as a CSV file, out and in. */
export function CsvActs({ input, set }: Pick<DocFormProps<WidthTestInput>, 'input' | 'set'>) {
  const chooser = useRef<HTMLInputElement>(null);
  const notices = useNotices();
  async function save() {
    const text = (await papa()).unparse(traysTable(input, speak), { escapeFormulae: true, newline: '\r\n' });
    saveFile(`${input.name.trim() || 'trays'}.csv`, 'text/csv;charset=utf-8', '\ufeff', text);
  }
  async function take(file: File) {
    try {
      if (file.size > MAX_BYTES) throw new Error('The file has more than 1 MB, which is more than trays ever take.');
      const { data } = (await papa()).parse<string[]>((await file.text()).replace(/^\ufeff/, ''), { skipEmptyLines: true });
      const rows = data.map((cells) => cells.map((cell) => cell.replace(/^'(?=[=+\-@])/, '')));
      const read = readTraysTable(rows, input);
      for (const [name, value] of Object.entries(read)) set(name as keyof typeof read, value);
      notices.undoable(say('width.csv.taken', { file: file.name }), () => {
        for (const name of Object.keys(read) as (keyof typeof read)[]) set(name, input[name]);
      });
    } catch (error) {
      notices.tell(errorText(error));
    }
  }
  return (
    <>
      <Button variant="ghost" minHeight="44px" onClick={() => void save()}>
        <Download size={18} />{' '}{say('width.csv.export')}</Button>
      <chakra.input
        ref={chooser}
        type="file"
        accept=".csv,.txt"
        aria-label={say('width.csv.label')}
        srOnly
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Button variant="ghost" minHeight="44px" onClick={() => chooser.current?.click()}>
        <Upload size={18} />{' '}{say('width.csv.import')}</Button>
    </>
  );
} // prettier-ignore
