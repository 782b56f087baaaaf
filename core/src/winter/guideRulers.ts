import type { GuideLine } from './guide.ts';
import { TREATMENTS, TRENDS, type GuideProduct, type Treatment, type Trend } from './guideInput.ts';
import { closeness, coldOf, isFor, sameSituation, warmOf } from './guideLookUp.ts';

/** A stretch of temperatures, degC; null: to that side without an end. */
export interface Stretch {
  readonly coldC: number | null;
  readonly warmC: number | null;
}

/** A band of a guide on its ruler. */
export interface RulerBand extends Stretch {
  readonly line: GuideLine;
}

/** What a guide says in one case along the temperature: its bands, where it says nothing, and where it says two things. */
export interface GuideRuler {
  readonly situation: string;
  readonly product: GuideProduct;
  readonly treatment: Treatment | 'any';
  readonly trend: Trend | 'any';
  /** From cold to warm. */
  readonly bands: readonly RulerBand[];
  readonly gaps: readonly Stretch[];
  readonly overlaps: readonly Stretch[];
}

const bandOf = (line: GuideLine): RulerBand => ({ coldC: line.coldC, warmC: line.warmC, line });
const finiteOr = (degC: number): number | null => (Number.isFinite(degC) ? degC : null);

/** Stretches between the first and the last band that none covers. */
function gapsOf(bands: readonly RulerBand[]): Stretch[] {
  const gaps: Stretch[] = [];
  let reached = -Infinity;
  for (const [at, band] of bands.entries()) {
    if (at > 0 && coldOf(band) > reached) gaps.push({ coldC: reached, warmC: band.coldC });
    reached = Math.max(reached, warmOf(band));
  }
  return gaps;
}

/** Stretches that two lines cover which name their case as closely: nobody can say which of them holds. */
function overlapsOf(bands: readonly RulerBand[]): Stretch[] {
  return bands.flatMap((one, index) =>
    bands.slice(index + 1).flatMap((other) => {
      const cold = Math.max(coldOf(one), coldOf(other));
      const warm = Math.min(warmOf(one), warmOf(other));
      if (cold >= warm || closeness(one.line) !== closeness(other.line)) return [];
      return [{ coldC: finiteOr(cold), warmC: finiteOr(warm) }];
    }),
  );
}

/**
 * A guide drawn along the temperature: a ruler for each situation and product, and for each trend and treatment where its lines tell
 * them apart.
 *
 * @returns in the order in which the guide names them
 * @example guideRulers([]) // []
 */
export function guideRulers(lines: readonly GuideLine[]): GuideRuler[] {
  const firsts = lines.filter(({ situation, product }, index) => lines.findIndex((line) => line.product === product && sameSituation(line.situation, situation)) === index); // prettier-ignore
  return firsts.flatMap(({ situation, product }) => {
    const own = lines.filter((line) => line.product === product && sameSituation(line.situation, situation));
    const treatments = own.every(({ treatment }) => treatment === 'any') ? (['any'] as const) : TREATMENTS;
    const trends = own.every(({ trend }) => trend === 'any') ? (['any'] as const) : TRENDS;
    return treatments.flatMap((treatment) =>
      trends.flatMap((trend): GuideRuler[] => {
        const asked = {
          situation,
          product,
          treatment: treatment === 'any' ? TREATMENTS[0] : treatment,
          trend: trend === 'any' ? TRENDS[0] : trend,
        };
        const bands = own
          .filter((line) => isFor(line, asked))
          .map(bandOf)
          .toSorted((a, b) => coldOf(a) - coldOf(b) || warmOf(a) - warmOf(b));
        if (bands.length === 0) return [];
        return [{ situation, product, treatment, trend, bands, gaps: gapsOf(bands), overlaps: overlapsOf(bands) }]; // prettier-ignore
      }),
    );
  });
}
