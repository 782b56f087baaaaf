import type { Card } from '@steady-scatter/core/testing';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { say, speak } from '@steady-scatter/words/bench';
import { sheetsPdf } from './cardSheets.ts';
import { checkLines, hasChart, isLongMark, type CardSize } from './cardSizes.ts';

/** A card and where its code leads. */
export interface Printed {
  readonly card: Card;
  readonly link: string;
}

function faceOf({ card, link }: Printed): Content {
  const lines: TableCell[][] = card.lines.map(({ setting, rate, isKept }) => [
    { text: `${isKept ? '> ' : ''}${setting}`, bold: isKept, fontSize: 12.5 },
    { text: rate, bold: isKept, alignment: 'right', fontSize: 12.5 },
  ]);
  const band = card.band === '' ? '' : ` ±${card.band}`;
  const checks = Array.from({ length: checkLines(card) }, (_, index): TableCell[] => [
    { text: index === 0 ? say('bench.card.checks') : ' ', fontSize: index === 0 ? 10 : 12.5 },
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
          { width: '*', stack: side.map((text, index) => ({ text, bold: index === 0, fontSize: 13, alignment: 'right' as const })), margin: [0, 16, 0, 0] }, // prettier-ignore
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

/** Cards of the size on their sheets. */
export const cardsPdf = (printed: readonly Printed[], size: CardSize): Promise<Blob> =>
  sheetsPdf(
    say('bench.card.pdfTitle', { machines: printed.map(({ card }) => card.machine).join(', ') }),
    printed.map(faceOf),
    size,
  );
