import type { TablePoint } from '../numeric/between.ts';
import type { DeicerSaltId } from '../products/deicer.ts';

/** What is known of a salt that keeps pavement wet. */
interface BrineSalt {
  /** Mass per cent -> degC at which ice comes; the last point is where the curve ends. CRC Handbook of Chemistry and Physics. */
  readonly freezes: readonly TablePoint[];
  /** Mass per cent -> kg/L at 20 degC. Perry's Chemical Engineers' Handbook. */
  readonly density: readonly TablePoint[];
}

/** Salts with a freezing curve. Of others (magnesium chloride, acetates) none is known here, and there is no cross-check. */
export const BRINE_SALTS = {
  'sodium-chloride': {
    freezes: [[0, 0], [1, -0.593], [2, -1.186], [3, -1.79], [4, -2.409], [5, -3.046], [6, -3.703], [7, -4.382], [8, -5.085], [9, -5.813], [10, -6.564], [12, -8.18], [14, -9.94], [15, -10.888], [16, -11.89], [18, -14.04], [20, -16.458], [22, -19.18], [23.3, -21.12]], // prettier-ignore
    density: [[0, 0.9982], [1, 1.00534], [2, 1.01246], [4, 1.0268], [8, 1.05589], [12, 1.08566], [16, 1.11621], [20, 1.14779], [24, 1.1804], [26, 1.19717]], // prettier-ignore
  },
  'calcium-chloride': {
    freezes: [[0, 0], [1, -0.439], [2, -0.88], [3, -1.33], [4, -1.82], [5, -2.35], [6, -2.93], [7, -3.57], [8, -4.28], [9, -5.04], [10, -5.86], [12, -7.7], [14, -9.83], [16, -12.28], [18, -15.11], [20, -18.3], [22, -21.7], [24, -25.3], [26, -29.7], [28, -34.7], [30, -41]], // prettier-ignore
    density: [[0, 0.9982], [2, 1.0148], [4, 1.0316], [8, 1.0659], [12, 1.1015], [16, 1.1386], [20, 1.1775], [25, 1.2284], [30, 1.2816], [35, 1.3373], [40, 1.3957]], // prettier-ignore
  },
} as const satisfies Partial<Record<DeicerSaltId, BrineSalt>>;

export type BrineSaltId = keyof typeof BRINE_SALTS;
export const BRINE_SALT_IDS = Object.keys(BRINE_SALTS) as BrineSaltId[];

/**
 * Whether a salt is one whose freezing curve is known.
 *
 * @param salt empty or null: not said
 * @example hasCurve('magnesium-chloride') // false
 */
export const hasCurve = (salt: DeicerSaltId | '' | null): salt is BrineSaltId => salt !== null && salt in BRINE_SALTS; // prettier-ignore

/**
 * The strongest brine whose density is known: about what water holds.
 *
 * @returns mass per cent
 * @example strongest('sodium-chloride') // 26
 */
export const strongest = (salt: BrineSaltId): number => BRINE_SALTS[salt].density.at(-1)![0];
