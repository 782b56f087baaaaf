import { shelfTable, type ProductTyped } from '@steady-scatter/core';
import Papa from 'papaparse';

/** The shelf as a CSV file to save: with a byte-order mark, so that spreadsheets read ½ and ² right, and nothing in it that they would run. */
export function exportShelf(products: readonly ProductTyped[], day: string): void {
  const text = Papa.unparse(shelfTable(products), { escapeFormulae: true, newline: '\r\n' });
  const address = URL.createObjectURL(new Blob(['\ufeff', text], { type: 'text/csv;charset=utf-8' }));
  const link = document.createElement('a');
  link.href = address;
  link.download = `shelf-${day}.csv`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
