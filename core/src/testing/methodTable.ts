import { InputError } from '../errors/InputError.ts';
import { courseTime, timesOf } from './methods/course.ts';
import { fillTimeMethod } from './methods/fillTime.ts';
import type { Method, Readings, RunBasis, Worked } from './methods/method.ts';
import { rowOutletsMethod } from './methods/rowOutlets.ts';
import { runOutMethod } from './methods/runOut.ts';
import { sprayCatchMethod } from './methods/sprayCatch.ts';
import { sprayUsedMethod } from './methods/sprayUsed.ts';
import { sweepTapedMethod } from './methods/sweepTaped.ts';
import { sweepUpMethod } from './methods/sweepUp.ts';
import { timedCatchMethod } from './methods/timedCatch.ts';
import { trayMethod } from './methods/tray.ts';
import { weighBackMethod } from './methods/weighBack.ts';
import type { CourseTimings } from './scatter.ts';

/** The ways to test a machine, each in a file of its own. */
export const METHODS = {
  'weigh-back': weighBackMethod,
  catch: sweepUpMethod,
  taped: sweepTapedMethod,
  tray: trayMethod,
  'timed-catch': timedCatchMethod,
  'run-out': runOutMethod,
  'fill-time': fillTimeMethod,
  outlets: rowOutletsMethod,
  'spray-catch': sprayCatchMethod,
  'spray-used': sprayUsedMethod,
} as const satisfies Record<string, Method>;

export type MethodId = keyof typeof METHODS;
export const METHOD_IDS = Object.keys(METHODS) as MethodId[];

/**
 * A method of the table, whichever it is.
 *
 * @example methodOf('catch').planned // 'strip'
 */
export const methodOf = (id: MethodId): Method => METHODS[id];

/** More product than this on a metre of ground, kg or L, is a slip of a unit. */
const MAX_PER_M2 = 5;

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
  outputPerM: 0,
  rateSi: 0,
  uReadings: 0,
  sources: [],
  netSi: 0,
  stepKg: null,
  outlets: null,
  timings: null,
  flowsLPerS: null,
  pressurePa: null,
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
  if (worked.rateSi > MAX_PER_M2) throw new InputError('test.too-much', { field });
  return {
    flowsLPerS: null,
    ...worked,
    pressurePa: readings['pressure']?.si ?? null,
    stepKg: stepIn(id, readings, basis.outlets),
    timings: timingsIn(id, readings),
    paceMPerS: paceIn(readings),
  };
}
