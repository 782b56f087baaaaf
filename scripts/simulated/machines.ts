// Simulated machines with crooked gates, drawn with seeds: what the adviser is tried on.
import type { Listed } from '@steady-scatter/core/testing';
import { seeded } from '@steady-scatter/core/width';

/** A machine: its marks, its true rate at each opening, and what a run at one of them gives. */
export interface Machine {
  readonly marks: readonly number[];
  readonly step: number;
  /** The mark at or below where product first flows. */
  readonly noted: number;
  /** Rate at a mark, the mean over its slack, g/m2. */
  rate(mark: number): number;
  /** What one run gives, g/m2: 0 where nothing comes out. */
  run(mark: number): number;
  readonly target: number;
  /** What a label prints: wrong for this gate by up to half. */
  readonly label: Listed;
  /** Another product's chart on the same gate. */
  readonly other: Listed;
}

type Draw = ReturnType<typeof drawsOf>;

function drawsOf(seed: number) {
  const random = seeded(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return { random, between, normal };
}

/** Nothing flows in the lower part; from there a bent line with a kink of its own. */
function bent({ between }: Draw, widest: number): { firstFlow: number; shape: (t: number) => number } {
  const firstFlow = widest * between(0.02, 0.35);
  const [power, kinkAt, kink] = [between(0.6, 2.2), between(0.2, 0.8), between(-0.35, 0.8)];
  return { firstFlow, shape: (t) => t ** power + kink * Math.max(0, t - kinkAt) };
}

/** A wide dead zone, then steep and soon saturating, with a stretch in which nothing changes. */
function saturating({ between }: Draw, widest: number): { firstFlow: number; shape: (t: number) => number } {
  const firstFlow = widest * between(0.1, 0.5);
  const [bend, from, width] = [between(1.5, 5), between(0.1, 0.8), between(0.03, 0.12)];
  const warped = (t: number) => (t <= from ? t : t <= from + width ? from : from + ((t - from - width) * (1 - from)) / (1 - from - width)); // prettier-ignore
  return { firstFlow, shape: (t) => 1 - Math.exp(-bend * warped(t)) };
}

export const FAMILIES = {
  bent: { shapeOf: bent, slack: 0, degrees: Infinity },
  saturating: { shapeOf: saturating, slack: 0.3, degrees: 4 },
} as const;
export type Family = keyof typeof FAMILIES;

/** Scatter of variance 1: normal, or Student's t where runs go wrong now and then. */
function scatterOf({ normal }: Draw, degrees: number): number {
  if (degrees === Infinity) return normal();
  const squares = Array.from({ length: degrees }, () => normal() ** 2).reduce(
    (sum, square) => sum + square,
    0,
  );
  return (normal() / Math.sqrt(squares / degrees)) * Math.sqrt((degrees - 2) / degrees);
}

/**
 * A machine of a family.
 *
 * @param scatter standard deviation of runs at one mark, share of the rate
 */
export function simulate(family: Family, seed: number, scatter: number): Machine {
  const draw = drawsOf(seed);
  const { random, between, normal } = draw;
  const { shapeOf, slack, degrees } = FAMILIES[family];
  const widest = 10 + Math.floor(random() * 26);
  const finest = random();
  const step = finest < 0.25 ? 0.25 : finest < 0.55 ? 0.5 : 1;
  const marks = Array.from({ length: Math.round(widest / step) + 1 }, (_, index) => index * step);
  const { firstFlow, shape } = shapeOf(draw, widest);
  const most = between(6, 28);
  const at = (x: number) =>
    x <= firstFlow ? 0 : (most * shape((x - firstFlow) / (widest - firstFlow))) / shape(1);
  // The pointer may stop short by up to the slack: always from the same side.
  const rate = (mark: number) => (slack === 0 ? at(mark) : [0, 0.25, 0.5, 0.75, 1].reduce((sum, share) => sum + at(mark - share * slack * step) / 5, 0)); // prettier-ignore
  const wanted = firstFlow + between(0.2, 0.85) * (widest - firstFlow);
  const reached = marks.findLast((mark) => mark <= wanted && rate(mark) > 0) ?? widest;
  const target = rate(reached) * between(0.96, 1.04);
  const label = { points: [{ setting: reached * between(0.6, 1.5), rate: target }], paceMPerS: 1.3 };
  const run = (mark: number) => Math.max(0, at(mark - slack * step * random()) * (1 + Math.max(-0.5, scatter * scatterOf(draw, degrees)))); // prettier-ignore
  // Another product flows more or less readily, begins a little elsewhere, and was tested like any other.
  const [readily, later] = [between(0.6, 1.6), between(-0.04, 0.04) * widest];
  const points = [0.45, 0.6, 0.75, 0.95].map((share) => marks[Math.round(share * (marks.length - 1))] ?? widest)
    .map((setting) => ({ setting, rate: readily * rate(setting - later) * (1 + scatter * normal()) }))
    .filter((point, index, all) => point.rate > 0 && (index === 0 || point.setting > (all[index - 1]?.setting ?? 0))); // prettier-ignore
  return { marks, step, noted: Math.floor(firstFlow / step) * step, rate, run, target, label, other: { points, paceMPerS: 1.3 } }; // prettier-ignore
}
