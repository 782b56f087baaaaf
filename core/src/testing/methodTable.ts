import { InputError } from '../errors/InputError.ts';
import type { Kind } from '../quantities/kinds.ts';
import { caught } from './methods/caught.ts';
import { rateFromFill } from './methods/fillTime.ts';
import { imbalanceOf, rowOutlets } from './methods/rowOutlets.ts';
import { runOut } from './methods/runOut.ts';
import { timedCatch } from './methods/timedCatch.ts';
import { weighBack } from './methods/weighBack.ts';
import { timedPace } from './pace.ts';
import type { CourseTimings } from './scatter.ts';
import { combined, netOf, relative, type Reading, type UncertaintySource } from './uncertainty.ts';

/** When a reading is taken: before product moves, at the course, while walking, after it. */
export type Moment = 'before' | 'course' | 'walk' | 'after';

/** One thing that a method asks for. */
export interface MethodField {
  readonly id: string;
  readonly label: string;
  readonly kind: Extract<Kind, 'mass' | 'length' | 'time' | 'area'> | 'count';
  readonly placeholder: string;
  readonly at: Moment;
  /** Taken when nothing is typed. */
  readonly otherwise?: number;
  /** It may be left out. */
  readonly optional?: boolean;
  /** May be 0: an empty hopper, a scale zeroed with the container on it. */
  readonly mayBeNone?: boolean;
}

/** What a run came to. */
export interface Worked {
  /** Product on each metre travelled (of each row, where rows are fed), kg/m. */
  readonly outputKgPerM: number;
  /** 0: nothing came out. */
  readonly rateKgPerM2: number;
  /** Relative standard uncertainty from the readings. */
  readonly uReadings: number;
  /** What it is made of. */
  readonly sources: readonly UncertaintySource[];
  readonly netKg: number;
  /** Step of the scale that it was weighed on, kg; null: nothing was weighed. */
  readonly stepKg: number | null;
  /** What each outlet gave, kg, and (max - min) / mean; null for a single catch. */
  readonly outlets: { readonly netKg: readonly number[]; readonly imbalance: number } | null;
  /** Times over the course that the rate rests on; null: it does not rest on any. */
  readonly timings: CourseTimings | null;
  /** Pace at which it was made, where it was timed. */
  readonly paceMPerS: number | null;
}

type Readings = Readonly<Record<string, Reading>>;

/** What a run rests on beside its readings. */
export interface RunBasis {
  /** Pass spacing, hopper width or row spacing that the rate is worked out for, m. */
  readonly width: Reading;
  /** Spacing at which a weighed load was spread, m. */
  readonly runWidthM: number;
  readonly outlets: number;
  /** Rows that all outlets together feed at once. */
  readonly rows: number;
}

/** What all rows take that are fed at once: the width that one pass covers. */
const swath = ({ width, rows }: RunBasis): Reading => ({
  si: width.si * rows,
  resolutionSi: width.resolutionSi * rows,
});

/** A result of the whole machine as that of each row: what goes on a metre of one. */
const ofEachRow = <R extends { readonly outputKgPerM: number }>(result: R, { rows }: RunBasis): R => ({
  ...result,
  outputKgPerM: result.outputKgPerM / rows,
});

type Work = Omit<Worked, 'paceMPerS' | 'timings' | 'stepKg'>;

interface Method {
  readonly words: string;
  /** What to do, one sentence. */
  readonly how: string;
  readonly needs: readonly string[];
  fields(outlets: number): readonly MethodField[];
  /** Whether what was read of several outlets is enough; absent: all that is not optional is. */
  isWhole?(readings: Readings, outlets: number): boolean;
  work(readings: Readings, basis: RunBasis): Work;
}

const mass = (id: string, label: string, placeholder: string, at: Moment, more: Partial<MethodField> = {}): MethodField => ({ id, label, kind: 'mass', placeholder, at, ...more }); // prettier-ignore
const LENGTH: MethodField = { id: 'length', label: 'Length of the strip', kind: 'length', placeholder: '60 ft', at: 'course' }; // prettier-ignore
const PASSES: MethodField = { id: 'passes', label: 'Times over it', kind: 'count', placeholder: '1', at: 'course', otherwise: 1 }; // prettier-ignore
const WALK_TIME: MethodField = { id: 'time', label: 'Time over the strip', kind: 'time', placeholder: 'if it was timed', at: 'walk', optional: true }; // prettier-ignore
const COURSE: MethodField = { id: 'course', label: 'Course at working pace', kind: 'length', placeholder: '40 m', at: 'course' }; // prettier-ignore
const COURSE_TIMES = [1, 2, 3].map((run): MethodField => ({ id: run === 1 ? 'courseTime' : `courseTime.${run}`, label: run === 1 ? 'Time over the course' : `Time, run ${run}`, kind: 'time', placeholder: '27.5 s', at: 'course', optional: run > 1 })); // prettier-ignore

/** Readings under each outlet: "gross" for one, "gross.1", "gross.2" for several. */
const perOutlet = (field: MethodField, outlets: number): MethodField[] =>
  outlets === 1
    ? [field]
    : Array.from({ length: outlets }, (_, at) => ({ ...field, id: `${field.id}.${at + 1}`, label: `${field.label}, outlet ${at + 1}`, optional: at > 0 })); // prettier-ignore

const tare = (label: string): MethodField => mass('tare', label, '0.74 kg', 'before', { mayBeNone: true });

const ofOutlet = (name: string, at: number, outlets: number): string =>
  outlets === 1 ? name : `${name}.${at + 1}`;

/** One catch for each outlet; a single one where all were caught together; null while some are missing. */
function catchesOf(readings: Readings, outlets: number) {
  const all = Array.from({ length: outlets }, (_, at) => {
    const [grossKg, tareKg] = [
      readings[ofOutlet('gross', at, outlets)],
      readings[ofOutlet('tare', at, outlets)],
    ];
    return grossKg && tareKg ? { grossKg, tareKg } : null;
  });
  const made = all.filter((each) => each !== null);
  const isTogether = outlets > 1 && made.length === 1 && all[0] !== null && !hasPart(readings, outlets);
  return isTogether || made.length === outlets ? made : null;
}

/** Something was weighed of a further outlet. */
const hasPart = (readings: Readings, outlets: number): boolean =>
  Array.from({ length: outlets - 1 }, (_, at) => at + 1).some(
    (at) => readings[ofOutlet('gross', at, outlets)] !== undefined || readings[ofOutlet('tare', at, outlets)] !== undefined, // prettier-ignore
  );

const apartOf = (catches: NonNullable<ReturnType<typeof catchesOf>>): Worked['outlets'] => {
  if (catches.length === 1) return null;
  const netKg = catches.map(({ grossKg, tareKg }) => grossKg.si - tareKg.si);
  return { netKg, imbalance: imbalanceOf(netKg) };
};

const timesOf = (readings: Readings): Reading[] => COURSE_TIMES.flatMap(({ id }) => readings[id] ?? []);

/** Mean of the times over a course, with the step of the watch. Their scatter is not in it: see scatter.ts. */
function courseTime(readings: Readings): Reading {
  const times = timesOf(readings);
  const { meanS } = timedPace(1, times.map(({ si }) => si)); // prettier-ignore
  return { si: meanS, resolutionSi: Math.max(...times.map(({ resolutionSi }) => resolutionSi)) };
}

/** What was weighed in a container, less the container where it was weighed. */
const lessTare = (gross: Reading, tare: Reading | undefined): Reading => ({
  si: tare ? netOf(gross, tare, 'tare').si : gross.si,
  resolutionSi: Math.hypot(gross.resolutionSi, tare?.resolutionSi ?? 0),
});

/** The dry tests. */
export const METHODS = {
  'weigh-back': {
    words: 'weigh back over a strip',
    how: 'Weigh the filled machine, spread a measured strip at working pace, weigh it again. Start back, open at the line, shut at the line, walk on.',
    needs: ['a scale that carries the machine', 'a tape', 'a watch', 'ground that may take the product'],
    fields: () => [mass('in', 'Before the strip', '48.60 lb', 'before'), LENGTH, PASSES, WALK_TIME, mass('left', 'After the strip', '44.95 lb', 'after', { mayBeNone: true })],
    work: ({ in: inKg, left, length, passes }, basis) => ({
      ...ofEachRow(weighBack({ inKg: inKg!, leftKg: left!, lengthM: length!, widthM: swath(basis), runs: passes!.si }), basis),
      outlets: null,
    }),
  },
  catch: {
    words: 'sweep up or catch on a tarp',
    how: 'Catch all that falls over a measured length, indoors or in no wind, and weigh the container empty and full.',
    needs: ['a small scale', 'a tarp or a smooth floor, a brush', 'a container', 'a tape'],
    fields: () => [tare('Empty container'), LENGTH, PASSES, WALK_TIME, mass('gross', 'Container and product', '1.92 kg', 'after')],
    work: ({ gross, tare: empty, length, passes }, basis) => ({
      ...ofEachRow(caught({ grossKg: gross!, tareKg: empty!, lengthM: length!, widthM: swath(basis), passes: passes!.si }), basis),
      outlets: null,
    }),
  },
  tray: {
    words: 'a tray hung under the hopper',
    how: 'Hang the tray, push a measured length at working pace, and weigh the tray empty and full.',
    needs: ['a small scale', 'a tray with hooks', 'a tape'],
    fields: () => [tare('Empty tray'), LENGTH, PASSES, WALK_TIME, mass('gross', 'Tray and product', '1.92 kg', 'after')],
    work: ({ gross, tare: empty, length, passes }, basis) => ({
      ...ofEachRow(caught({ grossKg: gross!, tareKg: empty!, lengthM: length!, widthM: swath(basis), passes: passes!.si }), basis),
      outlets: null,
    }),
  },
  'timed-catch': {
    words: 'timed catch standing still',
    how: 'Impeller off, a bucket under each outlet: catch for a measured time. Only where product runs standing still.',
    needs: ['a small scale', 'a bucket for each outlet', 'a watch', 'a tape'],
    fields: (outlets) => [...perOutlet(tare('Empty bucket'), outlets), COURSE, ...COURSE_TIMES, { id: 'catchTime', label: 'Time of the catch', kind: 'time', placeholder: '20 s', at: 'walk' }, ...perOutlet(mass('gross', 'Bucket and product', '3.10 kg', 'after'), outlets)],
    isWhole: (readings, outlets) => catchesOf(readings, outlets) !== null,
    work(readings, basis) {
      const catches = catchesOf(readings, basis.outlets)!;
      const caughtStanding = timedCatch({ catches, catchS: readings['catchTime']!, courseM: readings['course']!, courseS: courseTime(readings), spacingM: swath(basis) });
      return { ...ofEachRow(caughtStanding, basis), outlets: apartOf(catches) };
    },
  },
  'run-out': {
    words: 'a weighed load on known ground',
    how: 'Load a weighed amount, spread it on ground of known size, weigh what is left; where it ran out early, take the ground that was covered.',
    needs: ['a load of known weight', 'ground of known size'],
    fields: () => [mass('tare', 'Empty container, if it was weighed in one', '1.2 lb', 'before', { optional: true, mayBeNone: true }), mass('load', 'Load', '9.0 lb', 'before'), { id: 'area', label: 'Ground it went on', kind: 'area', placeholder: '900 ft2', at: 'course' }, mass('left', 'What is left, weighed the same way', '1.25 lb', 'after', { mayBeNone: true })],
    work({ load, left, area, tare: empty }, { width, runWidthM }) {
      // Nothing left was not weighed in the container.
      const leftKg = left!.si > 0 ? lessTare(left!, empty) : left!;
      const run = runOut({ loadKg: lessTare(load!, empty), leftKg, areaM2: area! });
      const outputKgPerM = run.rateKgPerM2 * runWidthM;
      return { ...run, outputKgPerM, rateKgPerM2: outputKgPerM / width.si, outlets: null };
    },
  },
  'fill-time': {
    words: 'the time in which a container fills',
    how: 'Weigh once what a container holds. Hold it under one outlet and time how long it takes to fill: the watch tells when it should be full.',
    needs: ['a container of known content', 'a watch', 'a tape'],
    fields: () => [mass('tare', 'Empty container', '0.74 kg', 'before', { optional: true, mayBeNone: true }), mass('content', 'Full container (or its content alone)', '4.6 kg', 'before'), COURSE, ...COURSE_TIMES, { id: 'fillTime', label: 'Time to fill it', kind: 'time', placeholder: '155 s', at: 'walk' }],
    work(readings, { width, outlets, rows }) {
      const [course, fill] = [readings['course']!, readings['fillTime']!];
      const content = lessTare(readings['content']!, readings['tare']);
      const time = courseTime(readings);
      const sources: UncertaintySource[] = [
        { of: 'weighing', u: relative(content) },
        { of: 'length', u: relative(course) },
        { of: 'time', u: Math.hypot(relative(time), relative(fill)) },
        { of: 'width', u: relative(width) },
      ];
      const asked = { containerKg: content.si, speedMPerS: course.si / time.si, spacingM: width.si, outletsPerRow: outlets / rows };
      return { ...rateFromFill(asked, fill.si), uReadings: combined(sources), sources, netKg: content.si, outlets: null };
    },
  },
  outlets: {
    words: 'catch under the row outlets',
    how: 'Hang a bag under each outlet, drive a measured length at working pace, and weigh each bag.',
    needs: ['a small scale', 'a bag for each outlet', 'a tape'],
    fields: (outlets) => [...perOutlet(tare('Empty bag'), outlets), LENGTH, WALK_TIME, ...perOutlet(mass('gross', 'Bag and product', '1.84 kg', 'after'), outlets)],
    isWhole: (readings, outlets) => catchesOf(readings, outlets) !== null,
    work(readings, { width, outlets, rows }) {
      const catches = catchesOf(readings, outlets)!;
      const row = rowOutlets({ catches, lengthM: readings['length']!, rows, rowMPerM2: 1 / width.si });
      const sources: UncertaintySource[] = [...row.sources, { of: 'width', u: relative(width) }];
      return { ...row, uReadings: combined(sources), sources, outlets: apartOf(catches) };
    },
  },
} as const satisfies Record<string, Method>; // prettier-ignore

export type MethodId = keyof typeof METHODS;
export const METHOD_IDS = Object.keys(METHODS) as MethodId[];

/** A method of the table, whichever it is. */
export const methodOf = (id: MethodId): Method => METHODS[id];

/** More product than this on a metre of ground is a slip of a unit. */
const MAX_KG_PER_M2 = 5;

function paceIn(readings: Readings): number | null {
  const [length, time, course] = [readings['length'], readings['time'], readings['course']];
  if (course && readings['courseTime']) return course.si / courseTime(readings).si;
  return length && time ? length.si / time.si : null;
}

/** The times over the course that a rate rests on; runs with the same course and the same times share them. */
function timingsIn(id: MethodId, readings: Readings): CourseTimings | null {
  const timesS = timesOf(readings).map(({ si }) => si);
  const rests = methodOf(id).fields(1).some((field) => field.id === 'courseTime'); // prettier-ignore
  return rests && timesS.length > 0 ? { id: [readings['course']?.si, ...timesS].join(' '), timesS } : null;
}

const stepIn = (id: MethodId, readings: Readings, outlets: number): number | null => {
  const steps = methodOf(id).fields(outlets).flatMap((field) => (field.kind === 'mass' && readings[field.id] ? [readings[field.id]!.resolutionSi] : [])); // prettier-ignore
  return steps.length === 0 ? null : Math.max(...steps);
};

/** Whether a run has all that its method asks for. */
export const isWholeRun = (id: MethodId, readings: Readings, outlets: number): boolean =>
  methodOf(id).fields(outlets).every((field) => field.optional || readings[field.id] !== undefined) && (methodOf(id).isWhole?.(readings, outlets) ?? true); // prettier-ignore

/** A run in which nothing came out, whatever was read. */
export const NOTHING_OUT: Worked = {
  outputKgPerM: 0,
  rateKgPerM2: 0,
  uReadings: 0,
  sources: [],
  netKg: 0,
  stepKg: null,
  outlets: null,
  timings: null,
  paceMPerS: null,
};

/**
 * Works a run out and refuses what cannot be.
 *
 * @param field path of the run, for errors
 * @throws InputError test.too-much for a rate that no spreader puts down; test.nothing-out
 */
export function workRun(id: MethodId, readings: Readings, basis: RunBasis, field: string): Worked {
  const worked = methodOf(id).work(readings, basis);
  if (worked.rateKgPerM2 > MAX_KG_PER_M2) throw new InputError('test.too-much', { field });
  return {
    ...worked,
    stepKg: stepIn(id, readings, basis.outlets),
    timings: timingsIn(id, readings),
    paceMPerS: paceIn(readings),
  };
}
