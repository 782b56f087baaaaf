import writeExcelFile from 'write-excel-file/browser';
import { saveFile } from './saveFile.ts';

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
const NUMBER = /^-?\d+(\.\d+)?$/;

/** A cell: numbers as numbers, anything else as text, so that nothing in it is run. */
const cellOf = (text: string) =>
  NUMBER.test(text) ? { value: Number(text), type: Number } : { value: text, type: String };

/** A table for a spreadsheet, as XLSX; headings first, in bold. */
export const xlsxOf = async ([headings = [], ...rows]: readonly (readonly string[])[]): Promise<Blob> =>
  writeExcelFile([
    headings.map((value) => ({ value, type: String, fontWeight: 'bold' as const })),
    ...rows.map((row) => row.map(cellOf)),
  ] as never).toBlob();

/** Saves a table for a spreadsheet, as XLSX. */
export async function saveXlsx(name: string, rows: readonly (readonly string[])[]): Promise<void> {
  saveFile(name, XLSX, await xlsxOf(rows));
}
