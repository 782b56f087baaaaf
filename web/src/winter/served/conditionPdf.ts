import type { Content, TableCell } from 'pdfmake/interfaces';
import { say } from '@steady-scatter/words/winter';
import { sheetsPdf } from '../../bench/cards/cardSheets.ts';
import type { CardSize } from '../../bench/cards/cardSizes.ts';
import type { ConditionSheet } from './ConditionCard.tsx';

/** More lines than this are set smaller, so that a card stays one page. */
const MANY = 11;

function faceOf({ machine, product, held, guide, signed, conditions, link }: ConditionSheet): Content {
  const small = conditions.length > MANY ? 8 : 9.5;
  const rows: TableCell[][] = conditions.map(({ when, pavement, mark, how, rate }) => [
    { stack: [{ text: when, fontSize: small }, { text: rate, fontSize: small - 1.5 }] },
    { text: pavement, fontSize: small, noWrap: true },
    { stack: [{ text: mark ?? say('winter.card.none'), bold: true, fontSize: mark === null ? small : small + 4 }, ...(how ? [{ text: how, fontSize: small - 1.5 }] : [])], alignment: 'right' },
  ]); // prettier-ignore
  const head: TableCell[] = [
    { text: say('winter.card.when'), fontSize: 8 },
    { text: say('winter.card.pavement'), fontSize: 8 },
    { text: say('winter.card.set'), fontSize: 8, alignment: 'right' },
  ];
  return {
    stack: [
      { text: machine, bold: true, fontSize: 15 },
      { text: product, fontSize: 10.5 },
      { text: held, fontSize: 9.5 },
      { table: { widths: ['*', 'auto', 'auto'], body: [head, ...rows] }, layout: 'lightHorizontalLines', margin: [0, 4, 0, 6] }, // prettier-ignore
      {
        columns: [
          { width: '*', fontSize: 8.5, stack: [guide, signed] },
          { width: 58, qr: link, fit: 58 },
        ],
      },
    ],
  };
}

/** A card by condition as a file. */
export const conditionPdf = (sheet: ConditionSheet, size: CardSize): Promise<Blob> =>
  sheetsPdf(say('winter.card.of', { machine: sheet.machine, product: sheet.product }), [faceOf(sheet)], size);
