import { solve, type Constraint, type Model } from 'yalps';
import type { Limit, Prepared } from './limits.ts';
import type { MixNeed } from './request.ts';

/** Rates by product id, kg/m2 or L/m2; products that are not used are not there. */
export type Rates = ReadonlyMap<string, number>;

/** What the solver came to. */
export type Solved =
  | { readonly status: 'optimal'; readonly rates: Rates; readonly value: number }
  | { readonly status: 'infeasible' | 'unbounded' | 'gave-up' };

// The solver works in grams per m2 and hundredths on 100 m2, so that its numbers are neither tiny nor huge.
const GRAMS = 1000;
const COST_SCALE = 0.1;
/** Rates below this many g/m2 are the solver's rounding: 0.1 g on a ha. */
const NOTHING = 1e-5;
const PRECISION = 1e-9;
/** Steps of the solver before it is given up. */
const MAX_PIVOTS = 20_000;

/** How a programme is posed. */
export interface Pose {
  /** Hard: each need from itself up to its tolerance. Soft: misses are paid for, in shares of the need, before any money. */
  readonly needs: 'hard' | 'soft';
  /** Most misses in all, when misses are no longer the aim but the price. */
  readonly missesAtMost?: number;
}

export interface Parts {
  readonly prepared: Prepared;
  readonly needs: readonly MixNeed[];
  readonly tolerance: number;
}

/**
 * Poses and solves one linear programme: least cost (or least misses) over the rates of the products, with every need
 * from itself up to its tolerance and no limit passed.
 */
export function solveMix(parts: Parts, pose: Pose): Solved {
  const { prepared, needs, tolerance } = parts;
  const { ingredients, limits } = prepared;
  const soft = pose.needs === 'soft';
  const aimsAtMisses = soft && pose.missesAtMost === undefined;
  const constraints = new Map<string, Constraint>();
  const variables = new Map<string, Map<string, number>>();
  // So little per gram that no difference in price is outweighed; it decides between mixes that cost the same.
  const dearest = Math.max(...ingredients.map(({ cents }) => cents), 1);
  const tieBreak = dearest * 1e-6;

  // Each product: cost, its part in every need and limit.
  for (const one of ingredients) {
    const coefficients = new Map<string, number>();
    if (!aimsAtMisses) coefficients.set('aim', (one.cents + tieBreak) * COST_SCALE);
    needs.forEach(({ nutrient }, index) => coefficients.set(`need.${index}`, one.holds(nutrient)));
    for (const { key, per } of limits) coefficients.set(key, per(one));
    variables.set(one.id, coefficients);
  }
  needs.forEach(({ kgPerM2 }, index) => {
    const grams = kgPerM2 * GRAMS;
    constraints.set(`need.${index}`, { min: grams, max: grams * (1 + tolerance) });
    if (!soft) return;
    // What is short is added, what is over is taken off, each counted as a share of the need.
    const miss = aimsAtMisses ? 'aim' : 'misses';
    variables.set(`short.${index}`, new Map([[`need.${index}`, 1], [miss, 1 / grams]])); // prettier-ignore
    variables.set(`over.${index}`, new Map([[`need.${index}`, -1], [miss, 1 / grams]])); // prettier-ignore
  });
  for (const { key, most } of limits) constraints.set(key, { max: most * GRAMS });
  if (pose.missesAtMost !== undefined) constraints.set('misses', { max: pose.missesAtMost });

  const model: Model = { direction: 'minimize', objective: 'aim', constraints, variables };
  const solution = solve(model, { precision: PRECISION, maxPivots: MAX_PIVOTS });
  if (solution.status === 'infeasible' || solution.status === 'unbounded') return { status: solution.status };
  if (solution.status !== 'optimal') return { status: 'gave-up' };
  const ids = new Set(ingredients.map(({ id }) => id));
  const rates = solution.variables.flatMap(([id, grams]): [string, number][] =>
    ids.has(id) && grams > NOTHING ? [[id, grams / GRAMS]] : [],
  );
  return { status: 'optimal', rates: withinLimits(rates, prepared), value: solution.result };
}

/**
 * Takes the solver's last digits off, so that no limit is passed at all: what presses on a limit of 0 (the slow share)
 * is lowered until it is held, then all rates by the share in which another limit is passed.
 */
function withinLimits(solved: readonly [string, number][], { ingredients, limits }: Prepared): Rates {
  const rates = new Map(solved);
  const used = ({ per }: Limit, sign: 1 | -1) =>
    ingredients.reduce((sum, one) => sum + Math.max(0, sign * per(one)) * (rates.get(one.id) ?? 0), 0);
  for (const limit of limits.filter(({ most }) => most === 0)) {
    const [presses, relieves] = [used(limit, 1), used(limit, -1)];
    if (presses <= relieves) continue;
    for (const one of ingredients) {
      const rate = rates.get(one.id);
      if (rate !== undefined && limit.per(one) > 0) rates.set(one.id, (rate * relieves) / presses);
    }
  }
  const worst = limits.reduce(
    (most, limit) => (limit.most > 0 ? Math.max(most, used(limit, 1) / limit.most) : most),
    1,
  );
  const shrink = worst > 1 ? 1 / (worst * (1 + 1e-12)) : 1;
  return new Map([...rates].flatMap(([id, rate]) => (rate > 0 ? [[id, rate * shrink]] : [])));
}
