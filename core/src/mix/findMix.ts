import { InputError } from '../errors/InputError.ts';
import { NUTRIENTS, type Nutrient } from '../need/nutrients.ts';
import { prepare, type Ingredient, type Limit, type Prepared } from './limits.ts';
import { solveMix, type Pose, type Rates } from './programme.ts';
import type { LeftOut, MixNeed, MixRequest } from './request.ts';

/** One product of a mix: its rate in kg/m2, or L/m2 for a liquid. */
export interface MixPart {
  readonly id: string;
  readonly name: string;
  readonly rateSi: number;
  readonly centsPerM2: number;
}

/** What a mix puts down of one nutrient, held against its need. */
export interface MixDelivery {
  readonly nutrient: Nutrient;
  readonly kgPerM2: number;
  readonly need: MixNeed;
  /** met: within the tolerance; along: nothing is wanted and it is taken as it comes. */
  readonly standing: 'met' | 'short' | 'over' | 'along';
  /** kg/m2 from each part, in the order of the parts. */
  readonly from: readonly number[];
}

export interface Mix {
  readonly parts: readonly MixPart[];
  readonly deliveries: readonly MixDelivery[];
  readonly centsPerM2: number;
  readonly quickKgPerM2: number;
  /** Slow share of the nitrogen; null without nitrogen. */
  readonly slowShare: number | null;
}

/** A need that no mix meets: by how much, and what stands in the way. */
export interface Miss {
  readonly nutrient: Nutrient;
  readonly standing: 'short' | 'over';
  readonly kgPerM2: number;
  /** none-holds-it: no usable product holds it; else the limits that are reached. */
  readonly because:
    | { readonly kind: 'none-holds-it' }
    | { readonly kind: 'limits'; readonly limits: readonly string[] };
}

/** Why the search for fewer products came to nothing. */
export type NoFewer = 'already-one' | 'none-meets' | 'gave-up' | 'not-looked';

/** The answer of the mix finder. */
export interface MixAnswer {
  /** met: every need within its tolerance; nearly: as near as the limits let it come; nothing: no product is of use. */
  readonly outcome: 'met' | 'nearly' | 'nothing';
  readonly best: Mix | null;
  readonly misses: readonly Miss[];
  /** The cheapest that meets the needs with one product fewer. */
  readonly fewer: Mix | null;
  readonly noFewer: NoFewer | null;
  readonly leftOut: readonly { readonly id: string; readonly name: string; readonly reason: LeftOut }[];
}

const NEAR = 1e-6;
/** Misses, in shares of the needs, that count as no more. */
const SAME_MISSES = 1e-8;

/** Needs that are aimed at: those above 0. A waived 0 is let be, another 0 is a limit. */
const aimed = (needs: readonly MixNeed[]): MixNeed[] => needs.filter(({ kgPerM2 }) => kgPerM2 > 0);

function standingOf(need: MixNeed, kgPerM2: number, tolerance: number): MixDelivery['standing'] {
  if (need.kgPerM2 === 0) return need.waived ? 'along' : 'met';
  const share = kgPerM2 / need.kgPerM2;
  if (share < 1 - tolerance - NEAR) return 'short';
  return share > 1 + tolerance + NEAR ? 'over' : 'met';
}

function describe(rates: Rates, { ingredients }: Prepared, request: MixRequest): Mix {
  const used = ingredients.filter(({ id }) => rates.has(id));
  const rateOf = (one: Ingredient) => rates.get(one.id) ?? 0;
  const parts = used.map((one) => ({
    id: one.id,
    name: one.name,
    rateSi: rateOf(one),
    centsPerM2: rateOf(one) * one.cents,
  }));
  const sum = (of: (one: Ingredient) => number) =>
    used.reduce((total, one) => total + rateOf(one) * of(one), 0);
  const nitrogen = sum(({ holds }) => holds('N'));
  const quickKgPerM2 = sum((one) => one.holds('N') * one.quick);
  return {
    parts,
    deliveries: request.needs.map((need) => {
      const kgPerM2 = sum(({ holds }) => holds(need.nutrient));
      return {
        nutrient: need.nutrient,
        kgPerM2,
        need,
        standing: standingOf(need, kgPerM2, request.tolerance),
        from: used.map((one) => rateOf(one) * one.holds(need.nutrient)),
      };
    }),
    centsPerM2: parts.reduce((total, { centsPerM2 }) => total + centsPerM2, 0),
    quickKgPerM2,
    slowShare: nitrogen > 0 ? 1 - quickKgPerM2 / nitrogen : null,
  };
}

/** Limits that a mix has reached, of those that a change of the nutrient would press on. */
function reached(
  nutrient: Nutrient,
  { ingredients, limits }: Prepared,
  rates: Rates,
  mix: Mix,
  tolerance: number,
): string[] {
  const holders = ingredients.filter(({ holds }) => holds(nutrient) > 0);
  const isReached = ({ per, most }: Limit) => {
    const used = ingredients.reduce((sum, one) => sum + per(one) * (rates.get(one.id) ?? 0), 0);
    return used >= most - Math.max(1e-9, Math.abs(most) * 1e-4);
  };
  const pressing = limits.filter((limit) => holders.some((one) => limit.per(one) > 0) && isReached(limit));
  // What no limit holds back is held back by a need that it fills as well.
  const free = holders.filter((one) => !pressing.some(({ per }) => per(one) > 0));
  const full = mix.deliveries.filter(
    (one) =>
      one.need.kgPerM2 > 0 &&
      one.kgPerM2 >= one.need.kgPerM2 * (1 + tolerance) * (1 - 1e-4) &&
      free.some(({ holds }) => holds(one.nutrient) > 0),
  );
  return [
    ...pressing.map(({ words }) => words),
    ...full.map((one) => `the need of ${NUTRIENTS[one.nutrient].name}, which is full`),
  ];
}

function missesOf(mix: Mix, prepared: Prepared, request: MixRequest, rates: Rates): Miss[] {
  const { ingredients } = prepared;
  return mix.deliveries.flatMap(({ nutrient, kgPerM2, need, standing }): Miss[] => {
    if (standing !== 'short' && standing !== 'over') return [];
    const held = ingredients.some(({ holds }) => holds(nutrient) > 0);
    const unwanted = prepared.leftOut.some(
      ({ id, reason }) =>
        reason === 'brings-unwanted' &&
        request.products.some((one) => one.id === id && (one.product.grade?.stated[nutrient] ?? 0) > 0),
    );
    const limits = [
      ...reached(nutrient, prepared, rates, mix, request.tolerance),
      ...(unwanted ? ['what else its products bring, of which none may be put down'] : []),
    ];
    return [
      {
        nutrient,
        standing,
        kgPerM2: Math.abs(need.kgPerM2 - kgPerM2),
        because:
          held || unwanted ? { kind: 'limits', limits: [...new Set(limits)] } : { kind: 'none-holds-it' },
      },
    ];
  });
}

/**
 * Finds the cheapest mix of products that meets every need within a tolerance and passes no limit: a linear programme
 * `min sum(price x rate)` with `need (1 - t) <= sum(content x rate) <= need (1 + t)`, solved by the simplex method. When
 * nothing meets the needs, the mix that misses least (in shares of each need) and, of those, costs least. Limits hold
 * in every case. Also the cheapest mix with one product fewer.
 *
 * @param request needs, products, tolerance and limits
 * @returns always an answer; what is left out and what is missed is named
 * @throws InputError mix.no-need when nothing above 0 is needed
 * @example findMix(request).best?.parts // 46-0-0 at 0.0075 kg/m2, 0-0-50 at 0.0100 kg/m2
 */
export function findMix(request: MixRequest): MixAnswer {
  const needs = aimed(request.needs);
  if (needs.length === 0) throw new InputError('mix.no-need', { field: 'needs' });
  const prepared = prepare(request);
  const { leftOut } = prepared;
  const solveFor = (pose: Pose) => solveMix({ prepared, needs, tolerance: request.tolerance }, pose);

  // Every need within its tolerance.
  const hard = solveFor({ needs: 'hard' });
  if (hard.status === 'optimal' && hard.rates.size > 0) {
    const best = describe(hard.rates, prepared, request);
    return { outcome: 'met', best, misses: [], leftOut, ...withFewer(best, solveFor, prepared, request) };
  }

  // As near as the limits let it come: least misses first, then least money among those.
  const near = solveFor({ needs: 'soft' });
  const cheap =
    near.status === 'optimal' ? solveFor({ needs: 'soft', missesAtMost: near.value + SAME_MISSES }) : near;
  const solved = cheap.status === 'optimal' ? cheap : near;
  const rates: Rates = solved.status === 'optimal' ? solved.rates : new Map();
  const best = describe(rates, prepared, request);
  const misses = missesOf(best, prepared, request, rates);
  return {
    outcome: rates.size === 0 ? 'nothing' : 'nearly',
    best: rates.size === 0 ? null : best,
    misses,
    fewer: null,
    noFewer: 'not-looked',
    leftOut,
  };
}

function withFewer(
  best: Mix,
  solveFor: (pose: Pose) => ReturnType<typeof solveMix>,
  prepared: Prepared,
  request: MixRequest,
): Pick<MixAnswer, 'fewer' | 'noFewer'> {
  if (best.parts.length < 2) return { fewer: null, noFewer: 'already-one' };
  const found = solveFor({ needs: 'hard', mostProducts: best.parts.length - 1 });
  if (found.status === 'optimal') return { fewer: describe(found.rates, prepared, request), noFewer: null };
  return { fewer: null, noFewer: found.status === 'infeasible' ? 'none-meets' : 'gave-up' };
}
