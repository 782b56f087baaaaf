import { InputError } from '../errors/InputError.ts';
import { finite, requirePositive } from '../errors/preconditions.ts';
import type { Point } from '../ground/index.ts';
import type { Leg } from './walk.ts';

/** What a leg takes on each metre, kg/m, or L/m of mix. */
export type OutputOf = (leg: Leg) => number;

/** Where a fill is used up. */
export interface FillEnd {
  /** Of the legs as they are walked, from 0. */
  readonly leg: number;
  /** From where that leg begins, and up to where it ends, m. */
  readonly walkedM: number;
  readonly leftM: number;
  readonly point: Point;
}

/** One fill of the hopper or the tank. */
export interface Fill {
  /** kg, or L of mix. */
  readonly amountSi: number;
  /** Walked with the gate open on it, m. */
  readonly metres: number;
  /** Legs that it begins and ends in, from 0. */
  readonly firstLeg: number;
  /** Where it runs out; null: it lasts to the end. */
  readonly end: FillEnd | null;
}

/** More fills than this are no plan. */
const MAX_FILLS = 2000;

/** A place along a line, m from its beginning. */
export function placeOn(line: readonly Point[], atM: number): Point {
  let left = atM;
  for (let index = 1; index < line.length; index += 1) {
    const [a, b] = [line[index - 1]!, line[index]!];
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    if (left <= length && length > 0) {
      const share = left / length;
      return { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
    }
    left -= length;
  }
  return line.at(-1)!;
}

/**
 * How far each fill goes on the way that is walked: `metres = fill / output`. The last one is what is left to do, to the end.
 *
 * @param usableSi what a full hopper gives before it stops feeding evenly, above 0
 * @throws InputError passes.too-many-fills, number.unusable
 * @example fillsOnWalk(passPlan.legs, () => 0.075, 12)[0].metres // 160
 */
export function fillsOnWalk(legs: readonly Leg[], outputOf: OutputOf, usableSi: number): Fill[] {
  requirePositive({ usableSi });
  for (const leg of legs) if (!(leg.lengthM >= 0) || !(outputOf(leg) >= 0)) throw new InputError('number.unusable', { field: 'legs', input: String(leg.lengthM) }); // prettier-ignore
  const total = legs.reduce((sum, leg) => sum + leg.lengthM * outputOf(leg), 0);
  if (finite(total / usableSi) > MAX_FILLS) throw new InputError('passes.too-many-fills', { field: 'hopper', most: MAX_FILLS }); // prettier-ignore
  const fills: Fill[] = [];
  let [used, metres, firstLeg] = [0, 0, 0];
  for (const [at, leg] of legs.entries()) {
    const output = outputOf(leg);
    let walkedM = 0;
    // What is left of the last metre by rounding is no fill of its own.
    const runsOut = () => used + (leg.lengthM - walkedM) * output > usableSi * (1 + 1e-9);
    while (runsOut()) {
      const more = (usableSi - used) / output;
      walkedM += more;
      const end = { leg: at, walkedM, leftM: leg.lengthM - walkedM, point: placeOn(leg.line, walkedM) };
      fills.push({ amountSi: usableSi, metres: metres + more, firstLeg, end });
      [used, metres, firstLeg] = [0, 0, at];
    }
    used += (leg.lengthM - walkedM) * output;
    metres += leg.lengthM - walkedM;
  }
  return used > usableSi * 1e-9 ? [...fills, { amountSi: used, metres, firstLeg, end: null }] : fills;
}

/** What walking takes. */
export interface WalkRequest {
  readonly paceMPerS: number;
  /** For each turn, s. */
  readonly turnS: number;
  /** For each refill after the first, s. */
  readonly refillS: number;
  /** From where the product stands to where a fill ran out and back is walked too; null: not known. */
  readonly refillAt: Point | null;
}

/** Ways and time of a walk. */
export interface WalkTime {
  /** Walked with the gate open, shut, and to the refill point and back, m. */
  readonly openM: number;
  readonly unfedM: number;
  readonly refillM: number;
  /** All of it together, m. */
  readonly walkedM: number;
  readonly turns: number;
  readonly refills: number;
  readonly seconds: number;
}

/**
 * How long a walk takes: ways over pace, turns, refills.
 *
 * @example walkTime(passPlan.legs, [], { paceMPerS: 1.3, turnS: 5, refillS: 180, refillAt: null }).turns // 4
 */
export function walkTime(legs: readonly Leg[], fills: readonly Fill[], request: WalkRequest): WalkTime {
  const { paceMPerS, turnS, refillS, refillAt } = request;
  requirePositive({ paceMPerS });
  const openM = legs.reduce((sum, leg) => sum + leg.lengthM, 0);
  const unfedM = legs.reduce((sum, leg) => sum + leg.unfedM, 0);
  const ends = fills.slice(0, -1).flatMap(({ end }) => end ?? []);
  const refillM = refillAt === null ? 0 : ends.reduce((sum, { point }) => sum + 2 * Math.hypot(point.x - refillAt.x, point.y - refillAt.y), 0); // prettier-ignore
  const [turns, refills] = [Math.max(0, legs.length - 1), Math.max(0, fills.length - 1)];
  const walkedM = openM + unfedM + refillM;
  const seconds = finite(walkedM / paceMPerS + turns * turnS + refills * refillS);
  return { openM, unfedM, refillM, walkedM, turns, refills, seconds };
}
