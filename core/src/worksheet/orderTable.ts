import { message, type Speak } from '../messages/message.ts';
import { moneyText } from '../fields/money.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact } from '../quantities/show.ts';
import { UNITS, type UnitId } from '../quantities/units.ts';
import type { WorksheetAnswer } from './answer.ts';
import type { WorksheetInput } from './worksheetInput.ts';

/**
 * The order sheet of a plan as rows of cells: each area with its size and its amount, then everything together, packages,
 * stock, what to buy and what it costs.
 *
 * @example orderTable(answer, sheet, speak)[0] // ['Area', 'Size, ft²', '±', 'Product, lb', '±']
 */
export function orderTable(
  { numbers, units, reading }: WorksheetAnswer,
  { product }: WorksheetInput,
  speak: Speak,
): string[][] {
  const { rateSi, order } = numbers;
  const cell = (si: number | null, unit: UnitId) =>
    si === null ? '' : showExact(fromSi(si, unit), 5).replace(/\s/g, '');
  const band = (si: number, unit: UnitId) => (si > 0 ? cell(si, unit) : '');
  const row = (name: string, areaM2: number | null, bandM2: number, amountSi: number | null) => [
    name,
    cell(areaM2, units.area),
    band(bandM2, units.area),
    cell(amountSi, units.amount),
    band(bandM2 * (rateSi ?? 0), units.amount),
  ];
  const areas = numbers.areas.flatMap(({ areaM2, bandM2, amountSi }, index) =>
    areaM2 === null
      ? []
      : [
          row(
            reading.areas[index]?.name || speak(message('working.area', { number: index + 1 })),
            areaM2,
            bandM2,
            amountSi,
          ),
        ],
  );
  const foot: [string, string][] = order
    ? [
        [speak(message('csv.order.product')), product.name || product.grade],
        [speak(message('working.packages')), showExact(order.exact, 4)],
        [speak(message('csv.order.stock')), showExact(order.stock, 4)],
        [speak(message('csv.order.buy')), String(order.buy)],
        [speak(message('csv.order.cost')), order.costCents === null ? '' : moneyText(order.costCents)],
      ]
    : [];
  return [
    [
      speak(message('csv.order.area')),
      speak(message('csv.order.size', { unit: UNITS[units.area].symbol })),
      '±',
      speak(message('csv.order.amount', { unit: UNITS[units.amount].symbol })),
      '±',
    ],
    ...areas,
    row(speak(message('working.total')), numbers.totalM2, numbers.totalBandM2, numbers.amountSi),
    ...foot,
  ];
}
