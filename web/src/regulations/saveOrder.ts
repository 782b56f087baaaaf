import { say } from '@steady-scatter/words/rules';
import { loadPart } from '../api/lazyCall.ts';
import { saveFile } from '../ui/saveFile.ts';

/** Saves an order sheet for a spreadsheet: with a byte-order mark, and nothing in it that one would run. */
export async function saveOrder(rows: string[][], name: string): Promise<void> {
  const { default: Papa } = await loadPart(() => import('papaparse'));
  const text = Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' });
  saveFile(say('rules.order.file', { name }), 'text/csv;charset=utf-8', '\ufeff', text);
}
