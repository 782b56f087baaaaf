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
  const runs = new Map<string, DoneRow[]>();
  for (const row of rows) {
    const { input } = row;
    if (machine !== '' && input.machine.id === machine && plain(input.product.name) === plain(product))
      runs.set(input.runId, [...(runs.get(input.runId) ?? []), row]);
  }
  return [...runs].flatMap(([id, own]) => {
    const counted = own.filter((row) => achievedOver([row]) !== null);
    const all = achievedOver(counted);
    return all && counted[0] ? [{ id, startedAt: counted[0].startedAt, ratio: all.ratio }] : [];
  });
}
