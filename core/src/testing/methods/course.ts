import { message } from '../../messages/message.ts';
import { timedPace } from '../pace.ts';
import { netOf, type Reading } from '../uncertainty.ts';
import type { MethodField, Readings } from './method.ts';

/** A course walked at the pace of work, up to three times. */
export const COURSE: MethodField = { id: 'course', label: message('readings.course'), kind: 'length', placeholder: '40 m', at: 'course' }; // prettier-ignore
export const COURSE_TIMES = [1, 2, 3].map((run): MethodField => ({ id: run === 1 ? 'courseTime' : `courseTime.${run}`, label: run === 1 ? message('readings.courseTime') : message('readings.courseTimeRun', { run }), kind: 'time', placeholder: '27.5 s', at: 'course', optional: run > 1 })); // prettier-ignore

export const timesOf = (readings: Readings): Reading[] =>
  COURSE_TIMES.flatMap(({ id }) => readings[id] ?? []);

/** Mean of the times over a course, with the step of the watch. Their scatter is not in it: see scatter.ts. */
export function courseTime(readings: Readings): Reading {
  const times = timesOf(readings);
  const { meanS } = timedPace(1, times.map(({ si }) => si)); // prettier-ignore
  return { si: meanS, resolutionSi: Math.max(...times.map(({ resolutionSi }) => resolutionSi)) };
}

/** What was weighed in a container, less the container where it was weighed. */
export const lessTare = (gross: Reading, tare: Reading | undefined): Reading => ({
  si: tare ? netOf(gross, tare, 'tare').si : gross.si,
  resolutionSi: Math.hypot(gross.resolutionSi, tare?.resolutionSi ?? 0),
});
