import type { Card } from '@steady-scatter/core/testing';
import type { Content, ContentStack, ContentTable, TableCell } from 'pdfmake/interfaces';
import { say, speak } from '@steady-scatter/words/bench';
import { pdfOf, PT_PER_MM } from '../../print/pdf.ts';
import { CARD_SIZES, checkLines, hasChart, isLongMark, type CardSize } from './cardSizes.ts';

/** A card and where its code leads. */
export interface Printed {
  readonly card: Card;
  readonly link: string;
}

const MARGIN_MM = 6;

function faceOf({ card, link }: Printed): Content {
  const lines: TableCell[][] = card.lines.map(({ setting, rate, isKept }) => [
    { text: `${isKept ? '> ' : ''}${setting}`, bold: isKept, fontSize: 12.5 },
    { text: rate, bold: isKept, alignment: 'right', fontSize: 12.5 },
  ]);
  const band = card.band === '' ? '' : ` ±${card.band}`;
  const checks = Array.from({ length: checkLines(card) }, (_, at): TableCell[] => [
    { text: at === 0 ? say('bench.card.checks') : ' ', fontSize: at === 0 ? 10 : 12.5 },
  ]);
  const side = [`${card.rate}${band} ${card.rateUnit}`, card.pace, card.spacing, card.second]
    .map(speak)
    .filter(Boolean);
  return {
    stack: [
      { text: card.machine, bold: true, fontSize: 16 },
      { text: card.product.map(speak).join(', '), fontSize: 11 },
      ...(card.purpose ? [{ text: card.purpose, bold: true, fontSize: 11 }] : []),
      {
        columns: [
          { width: 'auto', stack: [{ text: card.control, fontSize: 10 }, { text: card.setting, bold: true, fontSize: isLongMark(card) ? 26 : 54, lineHeight: 0.85 }] }, // prettier-ignore
          { width: '*', stack: side.map((text, at) => ({ text, bold: at === 0, fontSize: 13, alignment: 'right' as const })), margin: [0, 16, 0, 0] }, // prettier-ignore
        ],
      },
      // pdfmake draws no table without rows.
      ...(hasChart(card) ? [{ table: { widths: ['*', '*'], body: lines }, layout: 'lightHorizontalLines', margin: [0, 4, 0, 0] as [number, number, number, number] }] : []), // prettier-ignore
      { table: { widths: ['*'], body: checks }, layout: 'lightHorizontalLines', margin: [0, 0, 0, 6] },
      {
        columns: [
          { width: '*', fontSize: 10, stack: [card.signed, ...(card.state ? [say('bench.card.state', { state: card.state })] : []), ...(hasChart(card) ? [say('bench.card.closedSide')] : [])] }, // prettier-ignore
          { width: 76, qr: link, fit: 76 },
        ],
      },
    ],
  };
}

/** Each sheet but the first begins a page. */
const sheetBreak = (at: number, content: ContentStack | ContentTable): Content =>
  at === 0 ? content : Object.assign(content, { pageBreak: 'before' as const });

/** Cards of the size on their sheets, with lines to cut along where several share one. */
export function cardsPdf(printed: readonly Printed[], size: CardSize): Promise<Blob> {
  const { width, height, page } = CARD_SIZES[size];
  const [across, down] = [Math.floor(page.width / width), Math.floor(page.height / height)];
  const mm = (value: number) => value * PT_PER_MM;
  const isSingle = across * down === 1;
  const base = {
    pageSize: { width: mm(page.width), height: mm(page.height) },
    info: {
      title: say('bench.card.pdfTitle', { machines: printed.map(({ card }) => card.machine).join(', ') }),
    },
  };
  if (isSingle) {
    const content = printed.map((each, at) => sheetBreak(at, { stack: [faceOf(each)] }));
    return pdfOf({ ...base, pageMargins: mm(MARGIN_MM), content });
  }
  const perPage = across * down;
  const sheets = Array.from({ length: Math.ceil(printed.length / perPage) }, (_, at) =>
    printed.slice(at * perPage, (at + 1) * perPage),
  );
  const content = sheets.map((sheet, at): Content => {
    const cell = (index: number): TableCell => (sheet[index] ? { stack: [faceOf(sheet[index])], margin: mm(MARGIN_MM - 2) } : { text: '' }); // prettier-ignore
    const rows = Math.ceil(sheet.length / across);
    const body = Array.from({ length: rows }, (__, row) => Array.from({ length: across }, (___, column) => cell(row * across + column))); // prettier-ignore
    const widths = Array.from({ length: across }, () => mm(width) - 10);
    return sheetBreak(at, { table: { widths, heights: mm(height) - 10, body } });
  });
  return pdfOf({ ...base, pageMargins: 0, content });
}
