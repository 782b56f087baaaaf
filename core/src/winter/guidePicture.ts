import { finite } from '../errors/preconditions.ts';
import { fromSi } from '../quantities/convert.ts';
import type { GuideLine } from './guide.ts';
import type { GuideRuler, Stretch } from './guideRulers.ts';

/** A stretch on a ruler, as shares of its length from the cold end. */
export interface RulerPart {
  readonly from: number;
  readonly to: number;
}

export interface RulerPicture {
  readonly ruler: GuideRuler;
  /** `share`: its high rate against the highest of that product. */
  readonly bands: readonly (RulerPart & { readonly line: GuideLine; readonly share: number })[];
  readonly gaps: readonly (RulerPart & { readonly stretch: Stretch })[];
  readonly overlaps: readonly (RulerPart & { readonly stretch: Stretch })[];
}

/** Rulers under one another on one scale. */
export interface GuidePicture {
  /** Degrees in the unit of the guide, at their places. */
  readonly ticks: readonly { readonly at: number; readonly degrees: number }[];
  readonly rulers: readonly RulerPicture[];
}

/** A band without an end is drawn this far beyond the last edge, degC. */
const OPEN_C = 3;
const TICK = { degF: 5, degC: 2 } as const;

/**
 * The rulers of a guide, ready to be drawn on one scale from cold to warm.
 *
 * @param unit of the ticks
 * @returns nothing while no line has an edge
 * @example guidePicture([], 'degF').rulers // []
 */
export function guidePicture(rulers: readonly GuideRuler[], unit: 'degF' | 'degC'): GuidePicture {
  const edges = rulers.flatMap(({ bands }) => bands.flatMap(({ coldC, warmC }) => [coldC, warmC])).filter((edge) => edge !== null); // prettier-ignore
  if (edges.length === 0) return { ticks: [], rulers: [] };
  const isOpen = (side: 'coldC' | 'warmC') => rulers.some(({ bands }) => bands.some((band) => band[side] === null)); // prettier-ignore
  const cold = Math.min(...edges) - (isOpen('coldC') ? OPEN_C : 0);
  const warm = Math.max(...edges) + (isOpen('warmC') ? OPEN_C : 0);
  const span = finite(Math.max(warm - cold, 1));
  const at = (degC: number) => (degC - cold) / span;
  const part = ({ coldC, warmC }: Stretch): RulerPart => ({
    from: coldC === null ? 0 : at(coldC),
    to: warmC === null ? 1 : at(warmC),
  });
  const highest = (product: GuideLine['product']) => Math.max(...rulers.flatMap(({ bands }) => bands.map(({ line }) => (line.product === product ? (line.rate?.high ?? 0) : 0)))); // prettier-ignore
  const shareOf = ({ product, rate }: GuideLine) => (rate && rate.high > 0 ? finite(rate.high / highest(product)) : 0); // prettier-ignore
  const step = TICK[unit];
  const first = Math.ceil(fromSi(cold, unit) / step - 1e-9);
  const count = Math.floor(fromSi(warm, unit) / step + 1e-9) - first + 1;
  const perDegree = unit === 'degF' ? 5 / 9 : 1;
  return {
    ticks: Array.from({ length: Math.max(0, count) }, (_, index) => {
      const degrees = (first + index) * step;
      return { degrees, at: at(cold + (degrees - fromSi(cold, unit)) * perDegree) };
    }),
    rulers: rulers.map((ruler) => ({
      ruler,
      bands: ruler.bands.map(({ line, ...band }) => ({ ...part(band), line, share: shareOf(line) })),
      gaps: ruler.gaps.map((stretch) => ({ ...part(stretch), stretch })),
      overlaps: ruler.overlaps.map((stretch) => ({ ...part(stretch), stretch })),
    })),
  };
}
