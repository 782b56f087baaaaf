import { shelfTable, type ProductInput } from '@steady-scatter/core/products';
import { speak } from '@steady-scatter/words/shelf';
import { saveCsv } from '../ui/saveCsv.ts';

/** The shelf as a CSV file to save. */
export function exportShelf(products: readonly ProductInput[], day: string): void {
  saveCsv(`shelf-${day}.csv`, shelfTable(products, speak));
}
