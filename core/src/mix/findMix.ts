import { message, eachOnce, type Message } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import type { Nutrient } from '../need/nutrients.ts';
import { prepare, type Ingredient, type Limit, type Prepared } from './limits.ts';
import { fewProducts } from './few.ts';
import { solveMix, type Parts, type Rates } from './programme.ts';
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
    | { readonly kind: 'limits'; readonly limits: readonly Message[] };
}

/** The answer of the mix finder. */
export interface MixAnswer {
  /** met: every need within its tolerance; nearly: as near as the limits let it come; nothing: no product is of use. */
  readonly outcome: 'met' | 'nearly' | 'nothing';
  /** Mixes to choose from, fewest products first: each further one costs less. The last is the cheapest. */
  readonly options: readonly Mix[];
  readonly misses: readonly Miss[];
  /** Three products were looked for among the most promising ones only: a cheaper three may exist. */
  readonly isCutOff: boolean;
  /** No mix of one form meets every need, and one of dry and liquid together would. */
  readonly mixingWouldMeet: boolean;
  readonly leftOut: readonly { readonly id: string; readonly name: string; readonly reason: LeftOut }[];
}

/**
 * The cheapest of the options; null without any.
 *
 * @example cheapestMix({ options: [] }) // null
 */
export const cheapestMix = ({ options }: Pick<MixAnswer, 'options'>): Mix | null => options.at(-1) ?? null;

const NEAR = 1e-6;
/** Misses, in shares of the needs, that count as no more. */
const SAME_MISSES = 1e-8;

/** Needs that are aimed at: those above 0. A waived 0 is let be, another 0 is a limit. */
const aimed = (needs: readonly MixNeed[]): MixNeed[] => needs.filter(({ kgPerM2 }) => kgPerM2 > 0);

function standingOf(need: MixNeed, kgPerM2: number, tolerance: number): MixDelivery['standing'] {
  if (need.kgPerM2 === 0) return need.waived ? 'along' : 'met';
  const share = kgPerM2 / need.kgPerM2;
  if (share < 1 - NEAR) return 'short';
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
): Message[] {
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
    ...pressing.map(({ name }) => name),
    ...full.map((one) => message('mix.limit.full', { nutrient: message(`kinds.nutrient.${one.nutrient}`) })),
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
      ...(unwanted ? [message('mix.limit.brings')] : []),
    ];
    return [
      {
        nutrient,
        standing,
        kgPerM2: Math.abs(need.kgPerM2 - kgPerM2),
        because: held || unwanted ? { kind: 'limits', limits: eachOnce(limits) } : { kind: 'none-holds-it' },
      },
    ];
  });
}

/** An answer, and how far it is from meeting the needs: to choose between products of one form and another. */
interface Found extends Pick<MixAnswer, 'outcome' | 'options' | 'misses' | 'isCutOff'> {
  /** Sum of the misses in shares of the needs. */
  readonly missed: number;
}

/** Each further product has to save something: the fewest first, then only what is cheaper. */
function worthwhile(mixes: readonly (Mix | null)[]): Mix[] {
  const kept: Mix[] = [];
  for (const mix of mixes)
    if (mix && mix.centsPerM2 < (kept.at(-1)?.centsPerM2 ?? Infinity) * (1 - NEAR)) kept.push(mix);
  return kept;
}

/** A soft answer with as few products as miss no more: one after the other is left out while nothing gets worse. */
function thinned(rates: Rates, atMost: number, parts: Parts): Rates {
  const { prepared } = parts;
  for (const id of rates.keys()) {
    const ingredients = prepared.ingredients.filter((one) => one.id !== id && rates.has(one.id));
    if (ingredients.length === 0) continue;
    const fewer = solveMix({ ...parts, prepared: { ...prepared, ingredients } }, { needs: 'soft', missesAtMost: atMost }); // prettier-ignore
    if (fewer.status === 'optimal' && fewer.rates.size > 0) return thinned(fewer.rates, atMost, parts);
  }
  return rates;
}

/** As near as the limits let it come: least misses first, then least money among those. */
function nearest(parts: Parts, request: MixRequest): Found {
  const near = solveMix(parts, { needs: 'soft' });
  const atMost = near.status === 'optimal' ? near.value + SAME_MISSES : 0;
  const cheap = near.status === 'optimal' ? solveMix(parts, { needs: 'soft', missesAtMost: atMost }) : near;
  const solved = cheap.status === 'optimal' ? cheap : near;
  const rates =
    solved.status === 'optimal' ? thinned(solved.rates, atMost, parts) : new Map<string, number>();
  const mix = describe(rates, parts.prepared, request);
  return {
    outcome: rates.size === 0 ? 'nothing' : 'nearly',
    options: rates.size === 0 ? [] : [mix],
    misses: missesOf(mix, parts.prepared, request, rates),
    isCutOff: solved.status === 'gave-up',
    missed: near.status === 'optimal' ? near.value : Infinity,
  };
}

/** The mixes of some of the products. */
function among(ingredients: readonly Ingredient[], prepared: Prepared, request: MixRequest): Found {
  const parts = {
    prepared: { ...prepared, ingredients },
    needs: aimed(request.needs),
    tolerance: request.tolerance,
  };
  const hard = solveMix(parts, { needs: 'hard' });
  if (hard.status !== 'optimal' || hard.rates.size === 0) return nearest(parts, request);
  const { byCount, isCutOff } = fewProducts(parts, hard.rates);
  const few = worthwhile(byCount.map((found) => found && describe(found.rates, parts.prepared, request)));
  // Where no three products do it, more are better than none.
  const options = few.length > 0 ? few : [describe(hard.rates, parts.prepared, request)];
  return { outcome: 'met', options, misses: [], isCutOff, missed: 0 };
}

const isBetter = (a: Found, b: Found): boolean =>
  a.missed !== b.missed ? a.missed < b.missed : (cheapestMix(a)?.centsPerM2 ?? Infinity) < (cheapestMix(b)?.centsPerM2 ?? Infinity); // prettier-ignore

/**
 * Finds the cheapest mixes of few products that meet every need and pass no limit. A need is met from itself up to its tolerance,
 * never below: `need <= sum(content x rate) <= need (1 + t)`, a linear programme solved by the simplex method for each subset that is
 * tried. When nothing meets the needs, the mix that misses least (in shares of each need) and, of those, costs least. Limits hold in
 * every case. Dry and liquid products are mixed only when asked for.
 *
 * @param request needs, products, tolerance and limits
 * @returns always an answer; what is left out and what is missed is named
 * @throws InputError mix.no-need when nothing above 0 is needed
 * @example cheapestMix(findMix(mixRequest)).parts // [{ id: 'urea', rateSi: 0.01 }, { id: 'potash', rateSi: 0.01 }]
 */
export function findMix(request: MixRequest): MixAnswer {
  if (aimed(request.needs).length === 0) throw new InputError('mix.no-need', { field: 'needs' });
  const prepared = prepare(request);
  const { ingredients, leftOut } = prepared;
  const forms = (['dry', 'liquid'] as const).map((form) => ingredients.filter((one) => one.form === form)).filter((some) => some.length > 0); // prettier-ignore
  const isApart = !request.mixesForms && forms.length === 2;
  if (!isApart) {
    const { missed: _, ...found } = among(ingredients, prepared, request);
    return { ...found, mixingWouldMeet: false, leftOut };
  }
  const [dry, liquid] = forms.map((some) => among(some, prepared, request)) as [Found, Found];
  const { missed, ...found } = isBetter(liquid, dry) ? liquid : dry;
  const together = { prepared, needs: aimed(request.needs), tolerance: request.tolerance };
  const mixingWouldMeet = missed > 0 && solveMix(together, { needs: 'hard' }).status === 'optimal';
  return { ...found, mixingWouldMeet, leftOut };
}
