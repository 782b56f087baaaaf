import { finite, requirePositive } from '../../errors/preconditions.ts';
import { combined, relative, relativeNet, type Reading, type UncertaintySource } from '../uncertainty.ts';
import { netsOf, sumOfNets } from './timedCatch.ts';

/** Catches under the outlets of a row distributor over a length driven. */
export interface RowOutlets {
  /** One for each outlet, or one bucket for all of them. */
  readonly catches: readonly { readonly grossKg: Reading; readonly tareKg: Reading }[];
  readonly lengthM: Reading;
  /** Rows that the outlets feed at once: 1 where all feed one row, else as many as outlets. */
  readonly rows: number;
  /** Length of row on each m2, 1/m: one over the row spacing, or one's own figure. */
  readonly rowMPerM2: number;
}

export interface RowOutletsResult {
  readonly rateKgPerM2: number;
  /** On each metre of a row, kg/m. */
  readonly outputKgPerM: number;
  readonly uReadings: number;
  readonly sources: readonly UncertaintySource[];
  /** (max - min) / mean of the outlets; 0 for a single catch, or where nothing came out. */
  readonly imbalance: number;
  readonly netKg: number;
}

/** (max - min) / mean; 0 where nothing came out. */
export function imbalanceOf(netKg: readonly number[]): number {
  const mean = netKg.reduce((sum, kg) => sum + kg, 0) / netKg.length;
  return mean > 0 ? finite((Math.max(...netKg) - Math.min(...netKg)) / mean) : 0;
}

/**
 * Row outlets: `sum / (length x rows fed) x row length per area`. Both outlets of a machine that feeds two rows caught in one bucket
 * come to the same rate as caught apart.
 *
 * @throws InputError test.nothing-out
 * @example rowOutlets({ catches: [1.84, 2.02].map((kg) => ({ grossKg: read(kg), tareKg: read(0) })), lengthM: read(30), rows: 1, rowMPerM2: 0.66 }) // { rateKgPerM2: 0.08492, imbalance: 0.0933 }
 */
export function rowOutlets({ catches, lengthM, rows, rowMPerM2 }: RowOutlets): RowOutletsResult {
  requirePositive({ length: lengthM.si, rows, rowMPerM2 });
  const nets = netsOf(catches);
  const net = sumOfNets(nets);
  const outputKgPerM = finite(net.si / rows / lengthM.si);
  const sources: UncertaintySource[] = [
    { of: 'weighing', u: relativeNet(net) },
    { of: 'length', u: relative(lengthM) },
  ];
  return {
    rateKgPerM2: finite(outputKgPerM * rowMPerM2),
    outputKgPerM,
    uReadings: combined(sources),
    sources,
    imbalance: imbalanceOf(nets.map(({ si }) => si)),
    netKg: net.si,
  };
}
