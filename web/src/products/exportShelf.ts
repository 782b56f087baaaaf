import { shelfTable, type ProductInput } from '@steady-scatter/core/products';
import Papa from 'papaparse';
import { speak } from '@steady-scatter/words/shelf';
import { saveFile } from '../ui/saveFile.ts';

/** The shelf as a CSV file to save: with a byte-order mark, so that spreadsheets read ½ and ² right, and nothing in it that they would run. */
export function exportShelf(products: readonly ProductInput[], day: string): void {
  const text = Papa.unparse(shelfTable(products, speak), { escapeFormulae: true, newline: '\r\n' });
  saveFile(`shelf-${day}.csv`, 'text/csv;charset=utf-8', '\ufeff', text);
}
