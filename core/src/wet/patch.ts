import { finite, requirePositive } from '../errors/preconditions.ts';

/** A small patch that is treated out of a bottle or a can. */
export interface PatchWork {
  /** Product for the whole patch: kg, or L of a liquid. */
  readonly productSi: number;
  readonly form: 'dry' | 'liquid';
  readonly areaM2: number;
  /** What the bottle or can holds, L. */
  readonly bottleL: number;
  /** Water that a dry product dissolves in at least, L; null: not known. */
  readonly leastWaterL: number | null;
}

/** How a patch is treated: so many bottles, each with its share. */
export interface PatchPlan {
  readonly fills: number;
  /** In each bottle: kg, or L of a liquid. */
  readonly perFillSi: number;
  /** Water in each bottle, L: it is filled up with it. */
  readonly waterPerFillL: number;
  /** Finished mix on the patch, L/m2. */
  readonly mixLPerM2: number;
}

/** A bottle is shaken and carried: no fuller than so, and liquids never take more of it. */
const MAX_PRODUCT = 0.5;

/**
 * What goes into a bottle or can for a small patch: as many fills as dissolve it, each with an even share. What matters is that all of it
 * gets on the patch evenly: each fill is walked over the whole of it until it is empty, and rinsed in.
 *
 * @param work all above 0
 * @throws InputError number.unusable
 * @example patchPlan({ productSi: 0.24, form: 'dry', areaM2: 12, bottleL: 1, leastWaterL: 1.15 }).fills // 2
 */
export function patchPlan({ productSi, form, areaM2, bottleL, leastWaterL }: PatchWork): PatchPlan {
  requirePositive({ product: productSi, area: areaM2, bottle: bottleL });
  const room = form === 'liquid' ? productSi / (MAX_PRODUCT * bottleL) : (leastWaterL ?? 0) / bottleL;
  const fills = Math.max(1, Math.ceil(room - 1e-9));
  const perFillSi = finite(productSi / fills);
  return {
    fills,
    perFillSi,
    waterPerFillL: form === 'liquid' ? bottleL - perFillSi : bottleL,
    mixLPerM2: finite((fills * bottleL) / areaM2),
  };
}
