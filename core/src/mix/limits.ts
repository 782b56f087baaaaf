import { message, type Message } from '../messages/message.ts';
import { fractionOf } from '../need/grade.ts';
import type { Nutrient } from '../need/nutrients.ts';
import type { LeftOut, MixProduct, MixRequest } from './request.ts';

/** A product that can be in the mix, per unit of it (kg, or L of a liquid). */
export interface Ingredient {
  readonly id: string;
  readonly name: string;
  readonly cents: number;
  /** kg of each nutrient in one unit. */
  holds(nutrient: Nutrient): number;
  readonly form: 'dry' | 'liquid';
  /** Share of its nitrogen that is quick; a label that does not say counts as all quick. */
  readonly quick: number;
}

/** A hard limit: the sum of `per(product)` times its rate is at most `most`. */
export interface Limit {
  readonly key: string;
  /** What it is, to say when it stands in the way. */
  readonly name: Message;
  readonly most: number;
  per(ingredient: Ingredient): number;
}

export interface Prepared {
  readonly ingredients: readonly Ingredient[];
  readonly limits: readonly Limit[];
  readonly leftOut: readonly { readonly id: string; readonly name: string; readonly reason: LeftOut }[];
}

function ingredientOf({ id, name, product }: MixProduct): Ingredient | LeftOut {
  const { grade, kgPerSi, priceCents, package: pack, slowShare, form } = product;
  if (!grade) return 'no-analysis';
  if (kgPerSi === null) return 'no-density';
  if (priceCents === null || !pack) return 'no-price';
  return {
    id,
    name,
    form,
    cents: priceCents / pack.si,
    holds: (nutrient) => fractionOf(grade, nutrient) * kgPerSi,
    quick: 1 - (slowShare ?? 0),
  };
}

/** Limits that each product sets for itself: its label's most at once, and what stands on the shelf. */
function ownLimits({ id, name, product }: MixProduct, fromStockForM2: number | null): Limit[] {
  const own = (key: string, limit: Message, most: number | null): Limit[] =>
    most === null ? [] : [{ key, name: limit, most, per: (one) => (one.id === id ? 1 : 0) }];
  const { mostAtOnce, labelHigh, stockPackages, package: pack } = product;
  const stock = fromStockForM2 === null ? null : ((stockPackages ?? 0) * (pack?.si ?? 0)) / fromStockForM2;
  return [
    ...own(`label.${id}`, message('mix.limit.label', { name }), mostAtOnce ?? labelHigh),
    ...own(`stock.${id}`, message('mix.limit.stock', { name }), stock),
  ];
}

function rulesOf({ needs, caps, quickCap, slowFloor }: MixRequest): Limit[] {
  const none = needs.filter(({ kgPerM2, waived }) => kgPerM2 === 0 && !waived);
  const capped = [
    ...caps,
    ...none.map(({ nutrient }) => ({
      nutrient,
      kgPerM2: 0,
      because: message('mix.limit.unwanted', { nutrient: message(`kinds.nutrient.${nutrient}`) }),
    })),
  ];
  return [
    ...capped.map(
      ({ nutrient, kgPerM2, because }, index): Limit => ({
        key: `cap.${index}`,
        name: because,
        most: kgPerM2,
        per: ({ holds }) => holds(nutrient),
      }),
    ),
    ...(quickCap === null
      ? []
      : [{ key: 'quick', name: message('mix.limit.quick'), most: quickCap, per: (one: Ingredient) => one.holds('N') * one.quick }]), // prettier-ignore
    ...(slowFloor === null
      ? []
      : [{ key: 'slow', name: message('mix.limit.slow'), most: 0, per: (one: Ingredient) => one.holds('N') * (slowFloor - (1 - one.quick)) }]), // prettier-ignore
  ];
}

/**
 * Sorts out what a mix can be made from and what it must not pass. Whatever brings something of which nothing at all may
 * be put down is left out here, so that no rounding can bring it back.
 */
export function prepare(request: MixRequest): Prepared {
  const limits = rulesOf(request);
  const zeros = limits.filter(({ key, most }) => most <= 0 && key !== 'slow');
  const leftOut: Prepared['leftOut'][number][] = [];
  const ingredients: Ingredient[] = [];
  for (const one of request.products) {
    const found = ingredientOf(one);
    const reason =
      typeof found === 'string' ? found : zeros.some(({ per }) => per(found) > 0) ? 'brings-unwanted' : null;
    if (reason) leftOut.push({ id: one.id, name: one.name, reason });
    else if (typeof found !== 'string') ingredients.push(found);
  }
  const own = request.products.flatMap((one) =>
    ingredients.some(({ id }) => id === one.id) ? ownLimits(one, request.fromStockForM2) : [],
  );
  return { ingredients, leftOut, limits: [...limits.filter((limit) => !zeros.includes(limit)), ...own] };
}
