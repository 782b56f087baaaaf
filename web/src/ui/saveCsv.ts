import Papa from 'papaparse';
import { saveFile } from './saveFile.ts';

/** Saves a table for a spreadsheet: with a byte-order mark, so that it reads ½ and ² right, and nothing in it that it would run. */
export const saveCsv = (name: string, rows: string[][]): void =>
  saveFile(name, 'text/csv;charset=utf-8', '\ufeff', Papa.unparse(rows, { escapeFormulae: true }));
