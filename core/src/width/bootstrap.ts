import { unevenness } from './correlation.ts';
import type { PassPattern } from './overlap.ts';
import { patternOf, throwOf } from './pattern.ts';
import { normal } from './seeded.ts';
import { sweep } from './sweep.ts';

/** What is drawn again and again to see how sure a spacing is. */
export interface Resampling {
  readonly positionsM: readonly number[];
  /** Deposits of each row of trays, in any one unit. */
  readonly rows: readonly (readonly number[])[];
  /** Standard uncertainty of each deposit of a single row, the same unit: used where there are too few rows to draw from. */
  readonly uDeposits: readonly number[];
  readonly traySpacingM: number;
  readonly spacingM: number;
  readonly limit: number;
  readonly times: number;
}

/** A value and the span that 95 of 100 draws lie in; null where fewer than that have one. */
export interface Band {
  readonly low: number;
  readonly high: number;
}

export interface Resampled {
  /** CV at the spacing asked about. */
  readonly cv: Readonly<Record<PassPattern, Band>>;
  readonly widestM: Readonly<Record<PassPattern, Band | null>>;
  /** From rows, or from what the readings alone leave open. */
  readonly from: 'rows' | 'readings';
}

/** Fewer rows than this say too little of how rows differ. */
const MIN_ROWS = 3;
/** Spacings looked at in each draw; crossings between them are found by halving. */
const STEPS = 100;
const PASS_PATTERNS = ['one-way', 'back-and-forth'] as const;

function bandOf(values: readonly number[], times: number): Band | null {
  if (values.length < 0.95 * times) return null;
  const sorted = Float64Array.from(values).toSorted();
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  return { low: at(0.025), high: at(0.975) };
}

/** Deposits as they might have come out: rows drawn with return, else the one row with its reading errors. */
function draw({ rows, uDeposits }: Resampling, random: () => number): number[] {
  const [first] = rows;
  if (!first) return [];
  if (rows.length >= MIN_ROWS) {
    const drawn = rows.map(() => rows[Math.floor(random() * rows.length)]!);
    return first.map((_, index) => drawn.reduce((sum, row) => sum + row[index]!, 0) / drawn.length);
  }
  const mean = first.map((_, index) => rows.reduce((sum, row) => sum + row[index]!, 0) / rows.length);
  const root = Math.sqrt(rows.length);
  return mean.map((value, index) => Math.max(0, value + (uDeposits[index]! / root) * normal(random)));
}

/**
 * How sure the CV at a spacing and the recommended spacing are: the test is drawn anew many times, from its rows with return (Efron
 * 1979) or from the reading errors of a single row, and each time the passes are laid beside each other.
 *
 * @param random a seeded generator
 * @param onShare told the share done now and then; answers false to stop
 * @returns null when it was stopped
 * @example resample({ positionsM: [-1, 0, 1], rows: [[0, 2, 0]], uDeposits: [0, 0.01, 0], traySpacingM: 1, spacingM: 1, limit: 0.25, times: 0 }, () => 0.5).from // 'readings'
 */
export function resample(
  asked: Resampling,
  random: () => number,
  onShare: (share: number) => boolean = () => true,
): Resampled | null {
  const { positionsM, traySpacingM, spacingM, limit, times, rows } = asked;
  const cv: Record<PassPattern, number[]> = { 'one-way': [], 'back-and-forth': [] };
  const widest: Record<PassPattern, number[]> = { 'one-way': [], 'back-and-forth': [] };
  for (let index = 0; index < times; index += 1) {
    if (index % 50 === 0 && !onShare(index / times)) return null;
    const pattern = patternOf(positionsM, draw(asked, random));
    const uneven = unevenness(pattern);
    for (const passPattern of PASS_PATTERNS) {
      cv[passPattern].push(uneven(spacingM, passPattern));
      const of = (spacing: number) => uneven(spacing, passPattern);
      const found = sweep(pattern, traySpacingM, passPattern, limit, of, throwOf(pattern) / STEPS).widestM;
      if (found !== null) widest[passPattern].push(found);
    }
  }
  const both = <Value>(of: (passPattern: PassPattern) => Value) => ({ 'one-way': of('one-way'), 'back-and-forth': of('back-and-forth') }); // prettier-ignore
  return {
    cv: both((passPattern) => bandOf(cv[passPattern], times) ?? { low: 0, high: 0 }),
    widestM: both((passPattern) => bandOf(widest[passPattern], times)),
    from: rows.length >= MIN_ROWS ? 'rows' : 'readings',
  };
}
