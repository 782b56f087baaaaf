import type { CurvePoint } from '../curve.ts';
import type { Known, Wanted } from './known.ts';

/** A mark to test, and on what grounds. */
export interface Guess {
  readonly setting: number;
  /** Position that the rate would be met at, before a mark was taken; null: it was not worked out. */
  readonly exact: number | null;
  readonly because: 'proportion' | 'shape' | 'beyond';
}

const nearestTo = (marks: readonly number[], x: number): number =>
  marks.reduce((best, mark) => (Math.abs(mark - x) < Math.abs(best - x) ? mark : best));

/**
 * The mark at a position: the nearest; at or below it under a ceiling.
 *
 * @param marks at least one, lowest first
 */
export function markAt(x: number, marks: readonly number[], ceiling: number | null): number {
  const under = ceiling === null ? marks : marks.filter((mark) => mark <= x + 1e-9);
  return under.length > 0 ? nearestTo(under, x) : marks[0]!;
}

/**
 * Up from the highest mark tested at most half of the way to the fully open one, but always at least to the next mark: so a
 * trickle never leads to wide open.
 *
 * @param marks that may be set, lowest first; at least one above `from`
 */
export function upward(x: number, from: number, marks: readonly number[], ceiling: number | null): number {
  const above = marks.filter((mark) => mark > from);
  const most = from + (above.at(-1)! - from) / 2;
  return markAt(Math.min(x, most), [above[0]!, ...above.filter((mark) => mark <= most + 1e-9)], ceiling);
}

/** Where the chord through two points meets a rate. */
const onChord = (low: CurvePoint, high: CurvePoint, rate: number): number =>
  high.x + ((rate - high.y) * (high.x - low.x)) / (high.y - low.y);

/** The means as points, pooled, with where flow begins as the first. */
const pointsOf = ({ from, means, curve }: Known): CurvePoint[] => [
  { x: from, y: 0, weight: 1 },
  ...(curve?.points ?? means.map(({ setting, mean, runs }) => ({ x: setting, y: mean, weight: runs }))),
];

/** A mean lower than the end by this many of its own bands is no effect of noise. */
const CLEARLY = 1;

/** Up from the highest mean: the chord from the last mean that is clearly lower. */
function chordUp(known: Known): number {
  const points = pointsOf(known);
  const end = points.at(-1)!;
  const band = known.means.at(-1)!.uRelative * end.y * CLEARLY;
  const lower = points.findLast(({ x, y }) => x < end.x && y < end.y - band) ?? points[0]!;
  return onChord(lower, end, known.aim);
}

/**
 * Down from the lowest mean: the end chord, and not below what proportion from the begin of flow gives. Where a run showed that a
 * mark passes nothing, flow is taken to begin half way between it and the lowest mark that flowed.
 */
function chordDown(known: Known): number {
  const [zero, end, next] = pointsOf(known);
  const begin = known.noFlow === known.from ? (known.from + end!.x) / 2 : known.from;
  const proportion = onChord({ ...zero!, x: begin }, end!, known.aim);
  return next && next.y > end!.y ? Math.max(proportion, onChord(end!, next, known.aim)) : proportion;
}

/**
 * A guess beyond what was tested: one mean in proportion, or by the shape of another chart; several along the end chord.
 *
 * @param marks that may be tested on that side, lowest first; at least one
 */
export function guessBeyond(
  known: Known,
  wanted: Wanted,
  side: 'up' | 'down',
  marks: readonly number[],
): Guess {
  const { means } = known;
  const [only] = means.length === 1 ? means : [];
  const shaped = only ? (wanted.byShape?.({ setting: only.setting, rate: only.mean }) ?? null) : null;
  const exact = shaped ?? (side === 'up' ? chordUp(known) : chordDown(known));
  const setting =
    side === 'up'
      ? upward(exact, means.at(-1)!.setting, marks, wanted.ceiling)
      : markAt(exact, marks, wanted.ceiling);
  return { setting, exact, because: shaped !== null ? 'shape' : only ? 'proportion' : 'beyond' };
}
