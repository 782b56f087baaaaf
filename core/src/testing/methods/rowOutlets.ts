import { netOf, relative, type Reading } from '../uncertainty.ts';

/** Catches under the outlets of a row distributor over a length driven. */
export interface RowOutlets {
  readonly catches: readonly { readonly grossKg: Reading; readonly tareKg: Reading }[];
  readonly lengthM: Reading;
  /** All outlets feed one row, or each feeds its own. */
  readonly feeds: 'one-row' | 'own-rows';
  /** Length of row on each m2, 1/m: one over the row spacing, or one's own figure. */
  readonly rowMPerM2: number;
}

export interface RowOutletsResult {
  readonly rateKgPerM2: number;
  /** On each metre of a row, kg/m. */
  readonly outputKgPerM: number;
  readonly uReadings: number;
  /** (max - min) / mean of the outlets; 0 for a single one. */
  readonly imbalance: number;
  readonly netKg: number;
}

/**
 * Row outlets: all into one row `sum / length x row length per area`; each its own row: the mean in place of the sum.
 *
 * @throws InputError test.nothing-out
 * @example rowOutlets({ 1.84 and 2.02 kg per 30 m into one row at 6600 m/ha }) // 849.2 kg/ha, imbalance 9.326425 %
 */
export function rowOutlets({ catches, lengthM, feeds, rowMPerM2 }: RowOutlets): RowOutletsResult {
  const nets = catches.map(({ grossKg, tareKg }, at) => netOf(grossKg, tareKg, `catches.${at}.tare`));
  const sum = nets.reduce((total, { si }) => total + si, 0);
  const mean = sum / nets.length;
  const outputKgPerM = (feeds === 'one-row' ? sum : mean) / lengthM.si;
  const masses = nets.map(({ si }) => si);
  return {
    rateKgPerM2: outputKgPerM * rowMPerM2,
    outputKgPerM,
    uReadings: Math.hypot(Math.hypot(...nets.map(({ uSi }) => uSi)) / sum, relative(lengthM)),
    imbalance: (Math.max(...masses) - Math.min(...masses)) / mean,
    netKg: sum,
  };
}
