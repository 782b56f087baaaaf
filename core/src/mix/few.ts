import type { MixNeed } from './request.ts';
import type { Ingredient } from './limits.ts';
import { solveMix, type Parts, type Rates } from './programme.ts';

/** Most products that a mix is looked for with: people want few. */
export const MAX_PRODUCTS = 3;
/** Products that triples are looked for among: all triples of sixty would take seconds. */
const MAX_PROMISING = 18;
/** Cheapest holders of each nutrient, and best pairs, that count as promising. */
const FROM_EACH = 4;

/** The cheapest mix with a number of products. */
export interface FewProducts {
  readonly rates: Rates;
  readonly cents: number;
}

/** What a search among subsets came to. */
export interface FewSearch {
  /** The cheapest with one, two and three products; null where none meets every need. */
  readonly byCount: readonly (FewProducts | null)[];
  /** Three products were looked for among the most promising only. */
  readonly isCutOff: boolean;
}

const centsOf = (rates: Rates, ingredients: readonly Ingredient[]): number =>
  ingredients.reduce((sum, { id, cents }) => sum + cents * (rates.get(id) ?? 0), 0);

const weightOf = (rates: Rates): number => [...rates.values()].reduce((sum, rate) => sum + rate, 0);

/** The needs that a product can fill, as bits. */
const fillsOf = (one: Ingredient, needs: readonly MixNeed[]): number =>
  needs.reduce((bits, { nutrient }, index) => (one.holds(nutrient) > 0 ? bits | (1 << index) : bits), 0);

/** Subsets of a size in the order of their members. */
function* subsets(size: number, count: number, from = 0): Generator<number[]> {
  if (size === 0) {
    yield [];
    return;
  }
  for (let first = from; first <= count - size; first += 1)
    for (const rest of subsets(size - 1, count, first + 1)) yield [first].concat(rest);
}

/** All mixes of so many of the products that meet every need, the cheapest first. */
function mixesOf(size: number, among: readonly Ingredient[], parts: Parts): (FewProducts & { members: readonly Ingredient[] })[] {
  const { prepared, needs, tolerance } = parts;
  const all = (1 << needs.length) - 1;
  const fills = among.map((one) => fillsOf(one, needs));
  const found: (FewProducts & { members: readonly Ingredient[] })[] = [];
  for (const picked of subsets(size, among.length)) {
    if (picked.reduce((bits, at) => bits | fills[at]!, 0) !== all) continue;
    const members = picked.map((at) => among[at]!);
    const solved = solveMix({ prepared: { ...prepared, ingredients: members }, needs, tolerance }, { needs: 'hard' });
    if (solved.status === 'optimal' && solved.rates.size > 0) found.push({ members, rates: solved.rates, cents: centsOf(solved.rates, members) });
  }
  // Of mixes at one price the lighter.
  return found.toSorted((a, b) => a.cents - b.cents || weightOf(a.rates) - weightOf(b.rates));
} // prettier-ignore

/** The products that a cheap triple is likely made of: those of the cheapest mix of all, of good pairs, and cheap holders of each nutrient. */
function promising({ prepared, needs }: Parts, cheapest: Rates, pairs: readonly { readonly members: readonly Ingredient[] }[]): Ingredient[] {
  const { ingredients } = prepared;
  const holders = needs.flatMap(({ nutrient }) =>
    ingredients.filter(({ holds }) => holds(nutrient) > 0).toSorted((a, b) => a.cents / a.holds(nutrient) - b.cents / b.holds(nutrient)).slice(0, FROM_EACH),
  );
  const ranked = [...ingredients.filter(({ id }) => cheapest.has(id)), ...pairs.slice(0, FROM_EACH).flatMap(({ members }) => members), ...holders, ...ingredients];
  return [...new Set(ranked)].slice(0, MAX_PROMISING);
} // prettier-ignore

/**
 * The cheapest mixes with one, two and three products: every pair is tried, triples among the most promising products.
 *
 * @param cheapest rates of the cheapest mix of all, however many products it takes
 */
export function fewProducts(parts: Parts, cheapest: Rates): FewSearch {
  const { ingredients } = parts.prepared;
  const [single] = mixesOf(1, ingredients, parts);
  const pairs = cheapest.size > 1 ? mixesOf(2, ingredients, parts) : [];
  const isThree = cheapest.size === MAX_PRODUCTS;
  const among = cheapest.size > MAX_PRODUCTS ? promising(parts, cheapest, pairs) : [];
  const [triple] = mixesOf(3, among, parts);
  const third = isThree ? { rates: cheapest, cents: centsOf(cheapest, ingredients) } : (triple ?? null);
  return {
    byCount: [single ?? null, pairs[0] ?? null, third],
    isCutOff: among.length > 0 && among.length < ingredients.length,
  };
}
