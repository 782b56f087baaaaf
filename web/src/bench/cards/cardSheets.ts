import type { Content, ContentStack, ContentTable, TableCell } from 'pdfmake/interfaces';
import { pdfOf, PT_PER_MM } from '../../print/pdf.ts';
import { CARD_SIZES, type CardSize } from './cardSizes.ts';

const MARGIN_MM = 6;
const mm = (value: number) => value * PT_PER_MM;

/** Each sheet but the first begins a page. */
const sheetBreak = (at: number, content: ContentStack | ContentTable): Content =>
  at === 0 ? content : Object.assign(content, { pageBreak: 'before' as const });

/** Cards of the size on their sheets, with lines to cut along where several share one. */
export function sheetsPdf(title: string, faces: readonly Content[], size: CardSize): Promise<Blob> {
  const { width, height, page } = CARD_SIZES[size];
  const [across, down] = [Math.floor(page.width / width), Math.floor(page.height / height)];
  const base = { pageSize: { width: mm(page.width), height: mm(page.height) }, info: { title } };
  if (across * down === 1) {
    const content = faces.map((face, index) => sheetBreak(index, { stack: [face] }));
    return pdfOf({ ...base, pageMargins: mm(MARGIN_MM), content });
  }
  const perPage = across * down;
  const sheets = Array.from({ length: Math.ceil(faces.length / perPage) }, (_, index) =>
    faces.slice(index * perPage, (index + 1) * perPage),
  );
  const content = sheets.map((sheet, at): Content => {
    const cell = (index: number): TableCell => (sheet[index] ? { stack: [sheet[index]], margin: mm(MARGIN_MM - 2) } : { text: '' }); // prettier-ignore
    const rows = Math.ceil(sheet.length / across);
    const body = Array.from({ length: rows }, (__, row) => Array.from({ length: across }, (___, column) => cell(row * across + column))); // prettier-ignore
    const widths = Array.from({ length: across }, () => mm(width) - 10);
    return sheetBreak(at, { table: { widths, heights: mm(height) - 10, body } });
  });
  return pdfOf({ ...base, pageMargins: 0, content });
}
