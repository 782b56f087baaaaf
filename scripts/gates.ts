// npm run gates [machines]: how the adviser does on machines whose gates are crooked. Every run is typed as a person would: two
// weighings of a strip, read, doubted, worked out and advised on by the same code as on screen. Seeded; prints the table of
// docs/method.md.
import { blankRig, blankScale } from '@steady-scatter/core/machines';
import {
  benchRig,
  blankCalibration,
  blankRun,
  isEnded,
  evaluateCalibration,
  type CalibrationResult,
  type CalibrationInput,
  type RunInput,
} from '@steady-scatter/core/testing';
import { FAMILIES, simulate, type Family, type Machine } from './simulated/machines.ts';

const MACHINES = Number(process.argv[2] ?? 400);
const MAX_RUNS = 14;
const TOLERANCE = 0.05;
const WIDTH_M = 3;
/** Step of the scale, kg, and what stands in the hopper before a run. */
const SCALE = { step: 0.01, full: 40 };

const STARTS = ['low, first flow noted', 'low, not noted', 'middle', 'label', 'shape of another chart'] as const; // prettier-ignore
type Start = (typeof STARTS)[number];

/** What one calibration came to. */
interface Course {
  /** Distinct settings tested until the mark it ends at was first tested, that one included. */
  readonly settings: number;
  readonly runs: number;
  readonly ended: boolean;
  /** A run could not be recorded, or nothing was advised. */
  readonly stuck: boolean;
  /** Ended beyond the tolerance though a mark within it exists. */
  readonly outside: boolean;
  /** Under a ceiling: ended above it though some mark stays under it. */
  readonly over: boolean;
  /** Under a ceiling: ended more than 10 % below it though a mark closer under it exists. */
  readonly light: boolean;
  /** Highest rate ever tried, times the target. */
  readonly highest: number;
}

/** A strip long enough for the scale to tell half the tolerance at the target. */
const stripM = (target: number): number => Math.ceil(0.33 / ((target / 1000) * WIDTH_M) / 5) * 5;

function typeRun(id: string, mark: number, rate: number, lengthM: number): RunInput {
  const netSi = (rate / 1000) * WIDTH_M * lengthM;
  const weigh = (kg: number) => (Math.round(kg / SCALE.step) * SCALE.step).toFixed(2);
  const readings = { in: weigh(SCALE.full), left: weigh(SCALE.full - netSi), length: `${lengthM}.00`, time: (lengthM / 1.3).toFixed(1) }; // prettier-ignore
  return { ...blankRun(id, '2026-04-10', 'weigh-back'), setting: String(mark), readings };
}

function aim({ target, label }: Machine, from: Start, ceiling: boolean): CalibrationInput {
  return {
    ...blankCalibration('metric'),
    name: 'Simulated',
    target: { amount: String(target), unit: 'g/m2' },
    isCeiling: ceiling,
    width: { text: `${WIDTH_M}`, unit: 'm', by: 'chosen' },
    pace: { course: '40', unit: 'm', time: String(40 / 1.3) },
    scaleStep: String(SCALE.step),
    start: from.startsWith('low') ? 'low' : from === 'middle' ? 'middle' : from === 'label' ? 'label' : 'shape',
    label: from === 'label' ? { pace: '1.3 m/s', lines: label.points.map(({ setting, rate }) => ({ setting: String(setting), amount: String(rate) })) } : { pace: '', lines: [] }, // prettier-ignore
  };
} // prettier-ignore

/** A label's setting is one of the marks. */
const onMark = (machine: Machine): Machine => ({
  ...machine,
  label: { ...machine.label, points: machine.label.points.map(({ setting, rate }) => ({ rate, setting: Math.min(machine.marks.at(-1)!, Math.max(machine.step, Math.round(setting / machine.step) * machine.step)) })) }, // prettier-ignore
}); // prettier-ignore

function calibrate(drawn: Machine, from: Start, ceiling: boolean): Course {
  const machine = onMark(drawn);
  const { marks, step, noted, target } = machine;
  const control = { ...blankScale(), from: '0', to: String(marks.at(-1)), step: String(step), closed: '0', firstFlow: from === 'low, first flow noted' ? String(noted) : '' }; // prettier-ignore
  const rig = benchRig({ ...blankRig('metric'), name: 'Simulated', control });
  const shape = from === 'shape of another chart' && machine.other.points.length > 1 ? { ...machine.other, points: machine.other.points.map(({ setting, rate }) => ({ setting, rate: rate / 1000 })) } : null; // prettier-ignore
  const aimed = aim(machine, from, ceiling);
  const [runs, answers]: [RunInput[], string[]] = [[], []];
  let highest = 0;
  for (;;) {
    const input = { ...aimed, runs: [...runs], answers: [...answers] };
    const reading = evaluateCalibration(input, rig, shape);
    const { advice } = reading;
    const stuck = reading.errors.length > 0 || !advice || reading.runs.some(({ worked }) => !worked);
    const ended = advice !== null && isEnded(advice.because);
    if (stuck || ended || input.runs.length >= MAX_RUNS)
      return resultOf(machine, input, reading, { ceiling, stuck, ended, highest });
    const rate = machine.run(advice.setting);
    highest = Math.max(highest, rate / target);
    const run = typeRun(`${input.runs.length}`, advice.setting, rate, stripM(target));
    // What is asked is answered with yes: the machine did it.
    const asked = evaluateCalibration({ ...input, runs: [...runs, run] }, rig, shape).plausibility;
    runs.push(run);
    answers.push(...asked.map(({ id }) => id));
  }
}

function resultOf({ marks, rate, target }: Machine, input: CalibrationInput, { advice }: CalibrationResult, state: { ceiling: boolean; stuck: boolean; ended: boolean; highest: number }): Course {
  const { ceiling, stuck, ended, highest } = state;
  const setting = advice?.setting ?? 0;
  const off = rate(setting) / target - 1;
  const shares = marks.slice(1).map((mark) => rate(mark) / target);
  const under = Math.max(0, ...shares.filter((share) => share <= 1));
  const tested = [...new Set(input.runs.map((run) => Number(run.setting)))];
  return {
    settings: tested.indexOf(setting) + 1,
    runs: input.runs.length,
    ended,
    stuck,
    highest,
    outside: !ceiling && Math.abs(off) > TOLERANCE && shares.some((share) => Math.abs(share - 1) <= TOLERANCE),
    over: ceiling && off > 1e-9 && under > 0 && advice?.because !== 'all-over',
    light: ceiling && off < -0.1 && under - 1 > off + 1e-9,
  };
} // prettier-ignore

const quantile = (values: readonly number[], share: number): number =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN;

const say = (cells: readonly (string | number)[]) => process.stdout.write(`| ${cells.join(' | ')} |\n`);
say(['machines', 'scatter', 'start', 'settings: median, 90 %', 'runs: median, 90 %', 'ended outside', 'over the ceiling', 'far under it', 'not ended', 'stuck', 'highest rate, 95 %']); // prettier-ignore
say(Array.from({ length: 11 }, () => '---'));
const SCATTERS: Readonly<Record<Family, readonly number[]>> = {
  bent: [0.02, 0.04],
  saturating: [0.02, 0.04, 0.08],
};
for (const ceiling of [false, true])
  for (const family of Object.keys(FAMILIES) as Family[])
    for (const scatter of SCATTERS[family])
      for (const from of STARTS) {
        const all = Array.from({ length: MACHINES }, (_, index) => calibrate(simulate(family, index + 1, scatter), from, ceiling)); // prettier-ignore
        const of = (value: (each: Course) => number) => [0.5, 0.9].map((share) => quantile(all.map((each) => value(each)), share)).join(', '); // prettier-ignore
        const share = (is: (each: Course) => boolean) => ((100 * all.filter((each) => is(each)).length) / MACHINES).toFixed(1); // prettier-ignore
        say([
          `${family}${ceiling ? ', under a ceiling' : ''}`,
          `${100 * scatter} %`,
          from,
          of((each) => each.settings),
          of((each) => each.runs),
          ceiling ? '' : share((each) => each.outside),
          ceiling ? share((each) => each.over) : '',
          ceiling ? share((each) => each.light) : '',
          share((each) => !each.ended),
          share((each) => each.stuck),
          quantile(all.map((each) => each.highest), 0.95).toFixed(1),
        ]); // prettier-ignore
      }
