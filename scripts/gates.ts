// npm run gates: how the adviser does on machines whose gates are crooked. Simulated with seeds; prints the table of docs/method.md.
import { advise, fromShape, lookUp, seeded, starts, type Listed, type Run } from '@steady-scatter/core';

const GATES = 600;
const MOST_RUNS = 14;
const TOLERANCE = 0.05;

/** A machine: its marks, its true rate at each opening, and how much its runs differ. */
function machine(seed: number) {
  const random = seeded(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const widest = 10 + Math.floor(random() * 26);
  const step = random() < 0.4 ? 0.5 : 1;
  const marks = Array.from({ length: Math.round(widest / step) + 1 }, (_, at) => at * step);
  // Nothing flows in the lower part; from there a bent line with a kink of its own.
  const firstFlow = widest * between(0.02, 0.35);
  const power = between(0.6, 2.2);
  const kinkAt = between(0.2, 0.8);
  const kink = between(-0.35, 0.8);
  const most = between(3, 14);
  const raw = (t: number) => t ** power + kink * Math.max(0, t - kinkAt);
  const rate = (x: number) =>
    x <= firstFlow ? 0 : (most * raw((x - firstFlow) / (widest - firstFlow))) / raw(1);
  const reached = marks[Math.round((0.3 + 0.55 * random()) * (marks.length - 1))] ?? widest;
  const target = rate(reached) * between(0.96, 1.04) || most / 3;
  // The label is wrong for this gate by up to half.
  const label = { points: [{ setting: reached * between(0.6, 1.5), rate: target }], paceMPerS: 1.3 };
  const noted = Math.floor(firstFlow / step) * step;
  const scatter = between(0.015, 0.035);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const run = (x: number) => rate(x) * (1 + scatter * normal());
  // Another product's chart on the same gate: it flows more or less readily, begins a little elsewhere, and was tested like any other.
  const readily = between(0.6, 1.6);
  const later = between(-0.04, 0.04) * widest;
  const otherRate = (x: number) => readily * rate(x - later) * (1 + scatter * normal());
  const tested = [0.35, 0.55, 0.75, 0.95].map(
    (share) => marks[Math.round(share * (marks.length - 1))] ?? widest,
  );
  const other: Listed = { points: tested.map((setting) => ({ setting, rate: otherRate(setting) })), paceMPerS: 1.3 }; // prettier-ignore
  return { marks, noted, rate, target, run, label, other };
}

const STARTS = ['low, first flow noted', 'low, not noted', 'middle', 'label', 'shape of another chart'] as const; // prettier-ignore
type Start = (typeof STARTS)[number];

interface Course {
  /** Distinct settings tested until the mark it ends at was first tested, that one included. */
  readonly found: number;
  readonly runs: number;
  /** Ended at a mark whose true rate is off though some mark's is not; under a ceiling, at one whose true rate passes it. */
  readonly missed: boolean;
  readonly ended: boolean;
  readonly off: number;
}

function course(seed: number, from: Start, ceiling: boolean): Course {
  const { marks, noted, rate, target, run, label, other } = machine(seed);
  const firstFlow = from === 'low, first flow noted' ? noted : null;
  const begin = starts(marks, 0, firstFlow, target, 1.3, label);
  const at: Readonly<Record<Start, number>> = {
    'low, first flow noted': begin.low,
    'low, not noted': begin.low,
    middle: begin.middle,
    label: begin.label ?? begin.middle,
    'shape of another chart': lookUp(other, target, 0) ?? begin.middle,
  };
  const byShape = (test: { setting: number; rate: number }) => fromShape(other, test, target);
  const runs: Run[] = [];
  const asked = { marks, closed: 0, firstFlow, target, tolerance: TOLERANCE, ceiling: ceiling ? target : null, start: at[from], byShape: from === 'shape of another chart' ? byShape : null }; // prettier-ignore
  for (;;) {
    const { setting, because } = advise({ ...asked, runs });
    const ended = because === 'usable' || because === 'settled' || because === 'no-mark-fits';
    if (ended || runs.length >= MOST_RUNS) {
      const off = rate(setting) / target - 1;
      const some = marks.some((mark) => Math.abs(rate(mark) / target - 1) <= TOLERANCE);
      const missed = ceiling ? off > 0 : some && Math.abs(off) > TOLERANCE;
      return {
        found: [...new Set(runs.map((each) => each.setting))].indexOf(setting) + 1,
        runs: runs.length,
        missed,
        ended,
        off,
      };
    }
    runs.push({ setting, rate: run(setting), uReadings: 0.012 });
  }
}

const quantile = (values: readonly number[], share: number): number =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;

process.stdout.write(
  `| start | ceiling | gates (seeds) | settings to the mark: median, 95 % | runs: median, 95 % | not ended after ${MOST_RUNS} runs | missed | off, median |\n| --- | --- | --- | --- | --- | --- | --- | --- |\n`,
);
for (const ceiling of [false, true])
  for (const from of STARTS) {
    const all = Array.from({ length: GATES }, (_, at) => course(at + 1, from, ceiling));
    const both = (of: (each: Course) => number) =>
      [0.5, 0.95].map((share) => quantile(all.map((each) => of(each)), share)).join(', '); // prettier-ignore
    const count = (of: (each: Course) => boolean) => all.filter((each) => of(each)).length;
    const off = quantile(all.map((each) => each.off), 0.5); // prettier-ignore
    process.stdout.write(
      `| ${from} | ${ceiling ? 'yes' : 'no'} | ${GATES} (1 to ${GATES}) | ${both((each) => each.found)} | ${both((each) => each.runs)} | ${count((each) => !each.ended)} | ${count((each) => each.missed)} | ${(100 * off).toFixed(1)} % |\n`,
    );
  }
