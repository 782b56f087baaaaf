import { finite, requireFinite } from '../errors/preconditions.ts';
import type { DeicerFacts } from '../products/deicer.ts';
import { brineOnGround } from './brine.ts';
import { hasCurve } from './brineSalts.ts';
import { filmHeld } from './freezing.ts';
import type { GuideLine } from './guide.ts';
import type { Trend } from './guideInput.ts';
import { lookUpGuide, type GuideAnswer, type GuideCase } from './guideLookUp.ts';

/** Where in the range of a guide's line a rate lies. */
export const SHARES = ['low', 'middle', 'high'] as const;
export type Share = (typeof SHARES)[number];

/** Falling pavement takes the high end, rising the low end; a line for one trend has thought of that already. */
const SHARE_OF: Readonly<Record<Trend, Share>> = { rising: 'low', steady: 'middle', falling: 'high' };

/**
 * What becomes of what is put down: nothing freezes; the product does not work so cold, by its own limit or by its curve; it freezes as
 * it is; it holds so much water; nothing is known of its salt.
 */
export type Fate = 'thaws' | 'limit' | 'cold' | 'freezes' | 'holds' | 'unknown';

export interface NightPlan {
  readonly answer: GuideAnswer;
  /** On the ground, kg/m2 or L/m2; null: the guide puts nothing down, or has no line. */
  readonly rateSi: number | null;
  readonly share: Share;
  /** Nobody chose the share: the trend did. */
  readonly isShareByTrend: boolean;
  readonly fate: Fate;
  /** Water that it holds liquid, m; null: not known, or none. */
  readonly holdsM: number | null;
}

export interface NightAsked extends GuideCase {
  readonly pavementC: number;
  /** Null: as the trend has it. */
  readonly share: Share | null;
}

const rateAt = ({ low, high }: NonNullable<GuideLine['rate']>, share: Share): number =>
  share === 'low' ? low : share === 'high' ? high : finite((low + high) / 2);

/**
 * What becomes of a rate on pavement of a temperature.
 *
 * @param rateSi kg/m2, or L/m2 of a liquid, above 0
 * @throws InputError number.unusable
 * @example fateOnPavement({ salt: 'sodium-chloride', share: 1, limitC: null }, 'dry', 0.015, -5).holdsM // 0.000175377
 */
export function fateOnPavement(
  { salt, share, limitC }: Omit<DeicerFacts, 'errors'>,
  form: 'dry' | 'liquid',
  rateSi: number,
  pavementC: number,
): { readonly fate: Fate; readonly holdsM: number | null } {
  requireFinite({ rate: rateSi, temperature: pavementC });
  const none = (fate: Fate) => ({ fate, holdsM: null });
  if (pavementC >= 0) return none('thaws');
  if (limitC !== null && pavementC < limitC) return none('limit');
  if (!hasCurve(salt) || share === null || rateSi <= 0) return none('unknown');
  if (form === 'dry') {
    const holdsM = filmHeld(salt, rateSi * share, pavementC);
    return holdsM === null ? none('cold') : { fate: 'holds', holdsM };
  }
  const { moreWaterM } = brineOnGround(salt, rateSi, share * 100, pavementC) ?? { moreWaterM: null };
  if (moreWaterM === null) return none('cold');
  return moreWaterM <= 0 ? none('freezes') : { fate: 'holds', holdsM: moreWaterM };
}

/**
 * What a night asks for: the line of the guide, where in it, and what that does on the pavement.
 *
 * @param lines of the version that holds
 * @param deicer what goes down
 * @throws InputError number.unusable
 * @example planNight([], saltFacts, { pavementC: -5, trend: 'falling', situation: 'Frost', treatment: 'before', product: 'dry', share: null }).rateSi // null
 */
export function planNight(
  lines: readonly GuideLine[],
  deicer: Omit<DeicerFacts, 'errors'>,
  asked: NightAsked,
): NightPlan {
  const answer = lookUpGuide(lines, asked.pavementC, asked);
  const byTrend = answer.line && answer.line.trend !== 'any' ? 'middle' : SHARE_OF[asked.trend];
  const share = asked.share ?? byTrend;
  const rateSi = answer.line?.rate ? rateAt(answer.line.rate, share) : null;
  const form = asked.product === 'liquid' ? 'liquid' : 'dry';
  return {
    answer,
    rateSi,
    share,
    isShareByTrend: asked.share === null,
    // Where nothing goes down, whether it would work is told all the same.
    ...fateOnPavement(deicer, form, rateSi ?? 0, asked.pavementC),
  }; // prettier-ignore
}

/** A de-icer on the shelf, with what it can do. */
export interface DeicerOnShelf extends Pick<DeicerFacts, 'limitC'> {
  readonly name: string;
}

/**
 * De-icers of the shelf that work where another one does not, the one that reaches just far enough first.
 *
 * @param pavementC of the pavement
 * @example colderDeicers([{ name: 'Calcium', limitC: -25 }, { name: 'Rock salt', limitC: -9 }], -15).map(({ name }) => name) // ['Calcium']
 */
export function colderDeicers<Product extends DeicerOnShelf>(
  shelf: readonly Product[],
  pavementC: number,
): Product[] {
  requireFinite({ temperature: pavementC });
  for (const { limitC } of shelf) requireFinite({ limit: limitC ?? 0 });
  return shelf
    .filter(({ limitC }) => limitC !== null && limitC <= pavementC)
    .toSorted((a, b) => b.limitC! - a.limitC!);
}
