import { message } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { requirePositive } from '../errors/preconditions.ts';
import { deliveredAtRate } from '../need/productRate.ts';
import { NUTRIENTS } from '../need/nutrients.ts';
import { showQuantity, type DisplayValue } from '../quantities/show.ts';
import { UNITS } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import type { WorksheetAnswer } from '../worksheet/answer.ts';
import type { SplitResult } from '../worksheet/readings.ts';
import { daysLater } from '../fields/days.ts';

/** One portion of a whole that is put down in several: when, and what it is. */
export interface Portion {
  readonly onDay: string | null;
  readonly working: Working;
  /** What it puts down on each area of the rate's unit: "0.400 lb N, 0.133 lb K2O". */
  readonly delivers: readonly { readonly shown: DisplayValue; readonly symbol: string }[];
}

/**
 * The days of the portions: the first, and further ones where the days between two are known.
 *
 * @param onDay day of the first, year-month-day
 * @example portionDays('2026-04-18', 2, 28) // ['2026-04-18', '2026-05-16']
 */
export function portionDays(onDay: string, portions: number, everyDays: number | null): string[] {
  requirePositive({ portions });
  if (portions > 366)
    throw new InputError('count.whole', { field: 'portions', most: 366, input: String(portions) });
  return Array.from({ length: everyDays === null ? 1 : portions }, (_, index) =>
    daysLater(onDay, index * (everyDays ?? 0)),
  );
}

/**
 * The whole in equal portions: each one's amount, day and nutrients.
 *
 * @param split number of portions and days between two
 * @param onDay day of the first, year-month-day
 * @returns as many portions as asked for; days are null without an interval, all but the first
 * @example portionsOf({ portions: 2, everyDays: 28, directions: 1 }, '2026-04-18', answer)[1]?.onDay // '2026-05-16'
 */
export function portionsOf(
  { portions, everyDays }: SplitResult,
  onDay: string,
  { reading: { product }, numbers, units }: WorksheetAnswer,
): Portion[] {
  const { amountSi, rateSi } = numbers;
  const part = (si: number | null) => (si === null ? null : si / portions);
  const rate = part(rateSi);
  const kg = rate === null || product.kgPerSi === null ? null : rate * product.kgPerSi;
  const delivered = kg === null || !product.grade ? [] : deliveredAtRate(kg, product.grade);
  const unrounded = (si: number | null, unit: keyof typeof UNITS) => {
    const shown = si === null ? null : showQuantity(si, unit, 7);
    return shown && `${shown.number} ${shown.unit}`;
  };
  return Array.from({ length: portions }, (_, index) => ({
    onDay: index === 0 ? onDay : everyDays === null ? null : daysLater(onDay, index * everyDays),
    working: {
      id: `portion.${index + 1}`,
      label: message('working.portion', { number: index + 1, portions }),
      parts: [
        term('total.amount', amountSi === null ? null : showQuantity(amountSi, units.amount)),
        operator('÷'),
        term('portions', { number: String(portions), unit: '' }, { origin: 'typed' }),
        operator('='),
        term('portion.amount', part(amountSi) === null ? null : showQuantity(part(amountSi)!, units.amount), { strong: true, unrounded: unrounded(part(amountSi), units.amount) }), // prettier-ignore
        word(message('working.at'), 'stop'),
        term('portion.rate', rate === null ? null : showQuantity(rate, units.rate)),
      ],
    },
    delivers: delivered
      .filter(({ kgPerM2 }) => kgPerM2 > 0)
      .map(({ nutrient, kgPerM2 }) => ({
        shown: showQuantity(kgPerM2, units.delivered),
        symbol: NUTRIENTS[nutrient].symbol,
      })),
  }));
}
