import { grouped } from '../fields/grouped.ts';
import { toResult } from '../errors/InputError.ts';
import { message } from '../messages/message.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { FieldRun } from '../testing/fieldRuns.ts';
import { dimensionOf } from '../testing/rate.ts';
import { evaluateApplication, isVoid } from './application.ts';
import type { RunRatio } from './drift.ts';
import type { DoneRow } from './rounds.ts';

/** What rows put down together, against what was meant for them. */
export interface Achieved {
  /** kg or L. */
  readonly amountSi: number;
  readonly meantSi: number;
  readonly areaM2: number;
  /** 1: as meant. */
  readonly ratio: number;
}

/**
 * Whether a row says what really went out: it counts, and somebody weighed it or shared out what was weighed.
 *
 * @example saysAmount(blankApplication('us')) // true
 */
export const saysAmount = (input: DoneRow['input']): boolean =>
  !isVoid(input) && input.amount.from !== 'planned';

/**
 * What went out over rows in all, against what was meant; rows that do not say both are left out.
 *
 * @returns null where none says both
 * @example achievedOver([]) // null
 */
export function achievedOver(rows: readonly Pick<DoneRow, 'input'>[]): Achieved | null {
  const sums = { amountSi: 0, meantSi: 0, areaM2: 0 };
  for (const { input } of rows) {
    if (!saysAmount(input)) continue;
    const { amountSi, areaM2, meantSi, ratio } = evaluateApplication(input);
    if (ratio === null || amountSi === null || areaM2 === null || meantSi === null) continue;
    sums.amountSi += amountSi;
    sums.meantSi += meantSi * areaM2;
    sums.areaM2 += areaM2;
  }
  return sums.meantSi > 0 ? { ...sums, ratio: sums.amountSi / sums.meantSi } : null;
}

const plain = (text: string): string => text.trim().toLowerCase();

/**
 * Weighed runs of a machine with a product, each over all its areas.
 *
 * @param machine id; empty: no machine, so no runs
 * @example weighedRuns([], 'r1', 'Lake feed') // []
 */
export function weighedRuns(rows: readonly DoneRow[], machine: string, product: string): RunRatio[] {
  const by = rows.filter(({ input }) => machine !== '' && input.machine.id === machine && plain(input.product.name) === plain(product)); // prettier-ignore
  return [...grouped(by, ({ input }) => input.runId)].flatMap(([id, own]) => {
    const counted = own.filter((row) => achievedOver([row]) !== null);
    const all = achievedOver(counted);
    return all && counted[0] ? [{ id, startedAt: counted[0].startedAt, ratio: all.ratio }] : [];
  });
}

/**
 * Weighed runs of a machine by a chart, as tests of the mark that they were made at. A run whose mark or rate at it nobody noted, or over
 * areas at several marks, is left out.
 *
 * @param calibration id of the chart
 * @example fieldRunsOf([], 'c1') // []
 */
export function fieldRunsOf(rows: readonly DoneRow[], calibration: string): FieldRun[] {
  const by = rows.filter(({ input }) => input.machine.calibration === calibration);
  return [...grouped(by, ({ input }) => input.runId)].flatMap(([id, own]): FieldRun[] => {
    const counted = own.filter((row) => achievedOver([row]) !== null);
    const all = achievedOver(counted);
    const [first] = counted;
    if (!all || !first || first.input.setting === '' || first.input.settingRate.trim() === '') return [];
    if (counted.some(({ input }) => input.setting !== first.input.setting)) return [];
    const { unit } = first.input.rate;
    const meant = toResult(() => readPositive(first.input.settingRate, { kind: dimensionOf(unit), bareUnit: unit, field: 'settingRate' }, message('errors.what.rate')).si).value;
    if (meant === null) return [];
    const { uRatio } = evaluateApplication(first.input);
    return [{ id, mark: first.input.setting, rateSi: meant * all.ratio, uReadings: uRatio / 2 }];
  });
} // prettier-ignore
