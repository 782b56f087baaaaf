import { InputError } from '../errors/InputError.ts';
import type { Kind } from '../quantities/kinds.ts';
import type { Feeds } from '../rigs/rig.ts';
import { caught } from './methods/caught.ts';
import { rateFromFill } from './methods/fillTime.ts';
import { rowOutlets } from './methods/rowOutlets.ts';
import { runOut } from './methods/runOut.ts';
import { timedCatch } from './methods/timedCatch.ts';
import { weighBack } from './methods/weighBack.ts';
import { timedPace } from './pace.ts';
import { relative, type Reading } from './uncertainty.ts';

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
  /** Product on each metre travelled, kg/m. */
  readonly outputKgPerM: number;
  readonly rateKgPerM2: number;
  /** Relative standard uncertainty from the readings. */
  readonly uReadings: number;
  readonly netKg: number;
  /** What each outlet gave, kg, and (max - min) / mean; null for a single one. */
  readonly outlets: { readonly netKg: readonly number[]; readonly imbalance: number } | null;
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
  readonly feeds: Feeds;
}

interface Method {
  readonly words: string;
  /** What to do, one sentence. */
  readonly how: string;
  readonly needs: readonly string[];
  fields(outlets: number): readonly MethodField[];
  work(readings: Readings, basis: RunBasis): Omit<Worked, 'paceMPerS'>;
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
    : Array.from({ length: outlets }, (_, at) => ({ ...field, id: `${field.id}.${at + 1}`, label: `${field.label}, outlet ${at + 1}` })); // prettier-ignore

const tare = (label: string): MethodField => mass('tare', label, '0.74 kg', 'before', { mayBeNone: true });

function catchesOf(readings: Readings, outlets: number) {
  const id = (name: string, at: number) => (outlets === 1 ? name : `${name}.${at + 1}`);
  return Array.from({ length: outlets }, (_, at) => ({
    grossKg: readings[id('gross', at)]!,
    tareKg: readings[id('tare', at)]!,
  }));
}

const netsOf = (readings: Readings, outlets: number): Worked['outlets'] => {
  if (outlets === 1) return null;
  const netKg = catchesOf(readings, outlets).map(({ grossKg, tareKg }) => grossKg.si - tareKg.si);
  const mean = netKg.reduce((sum, kg) => sum + kg, 0) / netKg.length;
  return { netKg, imbalance: (Math.max(...netKg) - Math.min(...netKg)) / mean };
};

/** Times over a course, one to three: their mean, with its scatter counted as if it were a reading. */
function courseTime(readings: Readings): Reading {
  const times = COURSE_TIMES.flatMap(({ id }) => readings[id] ?? []);
  const { meanS, scatter } = timedPace(1, times.map(({ si }) => si)); // prettier-ignore
  const uMean = ((scatter ?? 0) * meanS) / Math.sqrt(times.length);
  const resolution = Math.max(...times.map(({ resolutionSi }) => resolutionSi));
  return { si: meanS, resolutionSi: Math.hypot(resolution, Math.sqrt(12) * uMean) };
}

/** The dry tests. */
export const METHODS = {
  'weigh-back': {
    words: 'weigh back over a strip',
    how: 'Weigh the filled machine, spread a measured strip at working pace, weigh it again. Start back, open at the line, shut at the line, walk on.',
    needs: ['a scale that carries the machine', 'a tape', 'a watch', 'ground that may take the product'],
    fields: () => [mass('in', 'Before the strip', '48.60 lb', 'before'), LENGTH, PASSES, WALK_TIME, mass('left', 'After the strip', '44.95 lb', 'after', { mayBeNone: true })],
    work: ({ in: inKg, left, length, passes }, { width }) => ({
      ...weighBack({ inKg: inKg!, leftKg: left!, lengthM: length!, widthM: width, runs: passes!.si }),
      outlets: null,
    }),
  },
  catch: {
    words: 'sweep up or catch on a tarp',
    how: 'Catch all that falls over a measured length, indoors or in no wind, and weigh the container empty and full.',
    needs: ['a small scale', 'a tarp or a smooth floor, a brush', 'a container', 'a tape'],
    fields: () => [tare('Empty container'), LENGTH, PASSES, WALK_TIME, mass('gross', 'Container and product', '1.92 kg', 'after')],
    work: ({ gross, tare: empty, length, passes }, { width }) => ({
      ...caught({ grossKg: gross!, tareKg: empty!, lengthM: length!, widthM: width, passes: passes!.si }),
      outlets: null,
    }),
  },
  tray: {
    words: 'a tray hung under the hopper',
    how: 'Hang the tray, push a measured length at working pace, and weigh the tray empty and full.',
    needs: ['a small scale', 'a tray with hooks', 'a tape'],
    fields: () => [tare('Empty tray'), LENGTH, PASSES, WALK_TIME, mass('gross', 'Tray and product', '1.92 kg', 'after')],
    work: ({ gross, tare: empty, length, passes }, { width }) => ({
      ...caught({ grossKg: gross!, tareKg: empty!, lengthM: length!, widthM: width, passes: passes!.si }),
      outlets: null,
    }),
  },
  'timed-catch': {
    words: 'timed catch standing still',
    how: 'Impeller off, a bucket under each outlet: catch for a measured time. Only where product runs standing still.',
    needs: ['a small scale', 'a bucket for each outlet', 'a watch', 'a tape'],
    fields: (outlets) => [...perOutlet(tare('Empty bucket'), outlets), COURSE, ...COURSE_TIMES, { id: 'catchTime', label: 'Time of the catch', kind: 'time', placeholder: '20 s', at: 'walk' }, ...perOutlet(mass('gross', 'Bucket and product', '3.10 kg', 'after'), outlets)],
    work: (readings, { width, outlets }) => ({
      ...timedCatch({ catches: catchesOf(readings, outlets), catchS: readings['catchTime']!, courseM: readings['course']!, courseS: courseTime(readings), spacingM: width }),
      outlets: netsOf(readings, outlets),
    }),
  },
  'run-out': {
    words: 'a weighed load on known ground',
    how: 'Load a weighed amount, spread it on ground of known size, weigh what is left; where it ran out early, take the ground that was covered.',
    needs: ['a load of known weight', 'ground of known size'],
    fields: () => [mass('load', 'Load', '9.0 lb', 'before'), { id: 'area', label: 'Ground it went on', kind: 'area', placeholder: '900 ft2', at: 'course' }, mass('left', 'What is left', '1.25 lb', 'after', { mayBeNone: true })],
    work({ load, left, area }, { width, runWidthM }) {
      const run = runOut({ loadKg: load!, leftKg: left!, areaM2: area! });
      const outputKgPerM = run.rateKgPerM2 * runWidthM;
      return { ...run, outputKgPerM, rateKgPerM2: outputKgPerM / width.si, outlets: null };
    },
  },
  'fill-time': {
    words: 'the time in which a container fills',
    how: 'Hold a container of known content under the outlet and time how long it takes to fill. The watch tells when it should be full.',
    needs: ['a container of known content', 'a watch', 'a tape'],
    fields: () => [mass('content', 'Content of the container', '4.6 kg', 'before'), COURSE, ...COURSE_TIMES, { id: 'fillTime', label: 'Time to fill it', kind: 'time', placeholder: '155 s', at: 'walk' }],
    work(readings, { width }) {
      const [content, course, fill] = [readings['content']!, readings['course']!, readings['fillTime']!];
      const time = courseTime(readings);
      const uReadings = Math.hypot(...[content, course, time, fill, width].map(relative));
      const asked = { containerKg: content.si, speedMPerS: course.si / time.si, spacingM: width.si };
      return { ...rateFromFill(asked, fill.si), uReadings, netKg: content.si, outlets: null };
    },
  },
  outlets: {
    words: 'catch under the row outlets',
    how: 'Hang a bag under each outlet, drive a measured length at working pace, and weigh each bag.',
    needs: ['a small scale', 'a bag for each outlet', 'a tape'],
    fields: (outlets) => [...perOutlet(tare('Empty bag'), outlets), LENGTH, WALK_TIME, ...perOutlet(mass('gross', 'Bag and product', '1.84 kg', 'after'), outlets)],
    work(readings, { width, outlets, feeds }) {
      const row = rowOutlets({ catches: catchesOf(readings, outlets), lengthM: readings['length']!, feeds, rowMPerM2: 1 / width.si });
      return { ...row, uReadings: Math.hypot(row.uReadings, relative(width)), outlets: netsOf(readings, outlets) };
    },
  },
} as const satisfies Record<string, Method>; // prettier-ignore

export type MethodId = keyof typeof METHODS;
export const METHOD_IDS = Object.keys(METHODS) as MethodId[];

/** A method of the table, whichever it is. */
export const methodOf = (id: MethodId): Method => METHODS[id];

/** More product than this on a metre of ground is a slip of a unit. */
const MOST_KG_PER_M2 = 5;

function paceIn(readings: Readings): number | null {
  const [length, time, course] = [readings['length'], readings['time'], readings['course']];
  if (course && readings['courseTime']) return course.si / courseTime(readings).si;
  return length && time ? length.si / time.si : null;
}

/**
 * Works a run out and refuses what cannot be.
 *
 * @param field path of the run, for errors
 * @throws InputError test.too-much for a rate that no spreader puts down; test.nothing-out
 */
export function workRun(id: MethodId, readings: Readings, basis: RunBasis, field: string): Worked {
  const worked = methodOf(id).work(readings, basis);
  if (worked.rateKgPerM2 > MOST_KG_PER_M2) throw new InputError('test.too-much', { field });
  return { ...worked, paceMPerS: paceIn(readings) };
}
