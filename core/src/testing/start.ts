import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { settingCurve, type CurvePoint } from './curve.ts';

/** Settings that a label or another chart lists, at a pace; rates in any one unit. */
export interface Listed {
  readonly points: readonly { readonly setting: number; readonly rate: number }[];
  readonly paceMPerS: number;
}

/** Where to begin while nothing is tested, as openings; null where there is nothing to go by. */
export interface Starts {
  /** 0.45 of the way from where product first flows (else from closed) to the widest mark: cautious. */
  readonly low: number;
  readonly middle: number;
  readonly label: number | null;
}

const curveOf = (points: Listed['points']): CurvePoint[] =>
  points
    .map(({ setting, rate }) => ({ x: finite(setting), y: finite(rate), weight: 1 }))
    .toSorted((a, b) => a.x - b.x);

/**
 * The setting that a list gives for a rate: by its curve, or in proportion from closed where it has one line or ends before.
 *
 * @example lookUp({ points: [{ setting: 4, rate: 0.01 }, { setting: 8, rate: 0.03 }], paceMPerS: 1.3 }, 0.02, 0) // 6
 */
export function lookUp({ points }: Listed, rate: number, closed: number): number | null {
  requireFinite({ rate, closed });
  const all = curveOf(points);
  const solved = all.length > 1 ? settingCurve(all).solve(rate) : null;
  if (solved !== null) return solved;
  const [nearest] = all.toSorted((a, b) => Math.abs(a.y - rate) - Math.abs(b.y - rate));
  return nearest && nearest.y > 0 ? finite(closed + ((nearest.x - closed) * rate) / nearest.y) : null;
}

/**
 * Where a first test may begin.
 *
 * The label's setting is looked up for `target x pace / label's pace`: at half its pace twice as much falls on each metre, so the
 * setting for half the rate is right.
 *
 * @param paceMPerS own pace, m/s, above 0
 * @example starts([0, 10, 20, 30], 0, null, 3.3, 1.2, null).low // 13.5
 */
export function starts(
  marks: readonly number[],
  closed: number,
  firstFlow: number | null,
  target: number,
  paceMPerS: number,
  label: Listed | null,
): Starts {
  for (const mark of [...marks, closed, firstFlow ?? 0]) requireFinite({ mark });
  requirePositive({ target, paceMPerS });
  const widest = marks.at(-1) ?? closed;
  const from = firstFlow ?? closed;
  return {
    low: from + 0.45 * (widest - from),
    middle: (closed + widest) / 2,
    label: label && lookUp(label, finite((target * paceMPerS) / label.paceMPerS), closed),
  };
}

/**
 * The setting by the shape of another product's chart: its curve scaled by one test here.
 *
 * @param other that product's chart on this machine
 * @param test one test with this product
 * @returns null where the other chart says nothing of the test's setting, or nothing of what is wanted
 * @example fromShape({ points: [{ setting: 4, rate: 1 }, { setting: 8, rate: 3 }], paceMPerS: 1 }, { setting: 6, rate: 4 }, 5) // 7
 */
export function fromShape(
  other: Listed,
  test: { readonly setting: number; readonly rate: number },
  target: number,
): number | null {
  const points = curveOf(other.points);
  if (points.length < 2) return null;
  const curve = settingCurve(points);
  requireFinite({ setting: test.setting, rate: test.rate, target });
  if (test.setting < curve.from || test.setting > curve.to || test.rate <= 0) return null;
  const there = curve.at(test.setting);
  return there > 0 ? curve.solve(finite((target * there) / test.rate)) : null;
}

/** Where a first test begins, and why there. */
export interface Start {
  readonly from: 'low' | 'middle' | 'label' | 'shape';
  readonly setting: number;
  /** Another beginning was chosen; the rate is a limit, and that would have been above the low one. */
  readonly isLowered: boolean;
}

/**
 * The start that was chosen; left to itself the shape of another chart, else the label's setting, else the low one. Where the rate
 * is a limit never above the low one.
 *
 * @param shape setting that another product's chart points to; null: there is none
 * @example chooseStart('auto', { low: 13.5, middle: 15, label: 11 }, null, false) // { from: 'label', setting: 11, isLowered: false }
 */
export function chooseStart(
  chosen: Start['from'] | 'auto',
  { low, middle, label }: Starts,
  shape: number | null,
  isLimit: boolean,
): Start {
  for (const setting of [low, middle, label ?? 0, shape ?? 0]) requireFinite({ setting });
  const from = chosen === 'auto' ? (shape !== null ? 'shape' : label !== null ? 'label' : 'low') : chosen;
  const setting = { low, middle, label: label ?? low, shape: shape ?? label ?? low }[from];
  return isLimit && setting > low ? { from: 'low', setting: low, isLowered: true } : { from, setting, isLowered: false }; // prettier-ignore
}
