import { finite, requirePositive } from '../errors/preconditions.ts';

/** What to do with a nozzle. */
export type NozzleVerdict = 'good' | 'look' | 'replace';

/** One nozzle against the others and against what it is rated for. */
export interface NozzleState {
  readonly flowLPerS: number;
  /** Share above the mean of all; below it under 0. */
  readonly ofMean: number;
  /** Share above its rated flow at the pressure; null: not rated, or the pressure is not known. */
  readonly ofRated: number | null;
  readonly verdict: NozzleVerdict;
}

/** The nozzles of a boom. */
export interface NozzleCheck {
  readonly nozzles: readonly NozzleState[];
  readonly meanLPerS: number;
  /** The farthest from the mean, as a share of it. */
  readonly worst: number;
}

/** Beyond the first a nozzle is cleaned or looked at, beyond the second it is replaced. */
export const NOZZLE_LIMITS = { look: 0.05, replace: 0.1 } as const;

/** Rounding of a difference is no difference. */
const HAIR = 1e-9;

function verdictOf(off: number): NozzleVerdict {
  if (off > NOZZLE_LIMITS.replace + HAIR) return 'replace';
  return off > NOZZLE_LIMITS.look + HAIR ? 'look' : 'good';
}

/**
 * Each nozzle against the mean of all, and against its rated flow at the pressure: over 5 % is cleaned or looked at, over 10 % replaced.
 *
 * @param flowsLPerS flow of each nozzle in their order, 0 or more; a blocked one is 0
 * @param ratedLPerS rated flow at the working pressure; null: not known
 * @throws InputError number.unusable when nothing flows at all
 * @example checkNozzles([480, 470, 505, 490].map((mL) => mL / 30_000), null).worst // 0.03856041
 */
export function checkNozzles(flowsLPerS: readonly number[], ratedLPerS: number | null): NozzleCheck {
  const meanLPerS = finite(flowsLPerS.reduce((sum, flow) => sum + flow, 0) / Math.max(1, flowsLPerS.length));
  requirePositive({ mean: meanLPerS });
  const nozzles = flowsLPerS.map((flowLPerS): NozzleState => {
    const ofMean = flowLPerS / meanLPerS - 1;
    const ofRated = ratedLPerS === null ? null : finite(flowLPerS / ratedLPerS - 1);
    const off = Math.max(Math.abs(ofMean), Math.abs(ofRated ?? 0));
    return { flowLPerS, ofMean: finite(ofMean), ofRated, verdict: verdictOf(off) };
  });
  return { nozzles, meanLPerS, worst: Math.max(...nozzles.map(({ ofMean }) => Math.abs(ofMean))) };
}
