import { rigKind, type RigKind } from '../rigs/kinds.ts';

/** Correcting by another pace or spacing instead of another mark, and what comes of it. */
export interface Corrections {
  /** How many times the rate that is wanted the mark gives. */
  readonly times: number;
  /** Null where the pace changes nothing: wheels drive the metering. */
  readonly pace: { readonly mPerS: number; readonly comfortable: boolean } | null;
  /** Null where the width is that of a hopper or of rows. */
  readonly spacing: { readonly widthM: number } | null;
}

/**
 * What pace, or else what spacing, would bring a mark to the rate: `pace x mean / target`, `spacing x mean / target`.
 *
 * @param meanKgPerM2 rate at the mark, above 0
 * @param targetKgPerM2 above 0
 * @param paceMPerS pace that the rate was found at, above 0
 * @param widthM spacing that it was worked out for, above 0
 * @example corrections('push-rotary', 0.0193, 0.0163, 1.34, 2.74).pace // { mPerS: 1.59, comfortable: true }
 */
export function corrections(
  kind: RigKind,
  meanKgPerM2: number,
  targetKgPerM2: number,
  paceMPerS: number,
  widthM: number,
): Corrections {
  const { metering, width, pace } = rigKind(kind);
  const times = meanKgPerM2 / targetKgPerM2;
  const mPerS = paceMPerS * times;
  return {
    times,
    pace: metering === 'flow' ? { mPerS, comfortable: mPerS >= pace[0] && mPerS <= pace[1] } : null,
    spacing: width === 'pass spacing' ? { widthM: widthM * times } : null,
  };
}
