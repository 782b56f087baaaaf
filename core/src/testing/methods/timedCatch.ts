import { message } from '../../messages/message.ts';
import { finite, requirePositive } from '../../errors/preconditions.ts';
import { combined, relative, relativeNet, type Reading, type UncertaintySource } from '../uncertainty.ts';
import { COURSE, COURSE_TIMES, courseTime } from './course.ts';
import { mass, no, ofEachRow, swath, tare, type Method } from './method.ts';
import { apartOf, catchesOf, netsOf, perOutlet, sumOfNets, type Catch } from './outlets.ts';
import type { TestResult, Width } from './result.ts';
import { rigKind } from '../../machines/kinds.ts';

/** A catch standing still for a time, and how long a course takes at the pace of work. */
export interface TimedCatch {
  /** Under each outlet, or one bucket for all. */
  readonly catches: readonly Catch[];
  readonly catchS: Reading;
  readonly courseM: Reading;
  /** Mean time over the course. Its scatter is no reading: it enters with the runs that share the timings. */
  readonly courseS: Reading;
  /** What a pass covers: the pass spacing, or the rows that are fed at once. */
  readonly spacingM: Width;
}

/**
 * Timed catch standing still: `mass / catch time x course time / (course length x spacing)`.
 *
 * @throws InputError test.nothing-out
 * @example timedCatch({ catches: [{ grossKg: read(2.46), tareKg: read(0) }], catchS: read(20), courseM: read(40), courseS: read(27.5), spacingM: wide(5) }).rateSi // 0.0169125
 */
export function timedCatch({ catches, catchS, courseM, courseS, spacingM }: TimedCatch): TestResult {
  requirePositive({ catchS: catchS.si, courseM: courseM.si, courseS: courseS.si, spacingM: spacingM.si });
  const net = sumOfNets(netsOf(catches));
  const outputPerM = finite(((net.si / catchS.si) * courseS.si) / courseM.si);
  const sources: UncertaintySource[] = [
    { of: 'weighing', u: relativeNet(net) },
    { of: 'time', u: Math.hypot(relative(catchS), relative(courseS)) },
    { of: 'length', u: relative(courseM) },
    { of: 'width', u: relative(spacingM) },
  ];
  return {
    outputPerM,
    rateSi: finite(outputPerM / spacingM.si),
    uReadings: combined(sources),
    sources,
    netSi: net.si,
  };
}

/** The machine stands still, and what runs out in a time is caught. */
export const timedCatchMethod: Method = {
  how: message('methods.timed-catch.how'),
  needs: ['smallScale', 'buckets', 'watch', 'tape'],
  planned: 'time',
  steps: {
    before: message('methods.timed-catch.before'),
    walk: message('methods.timed-catch.walk'),
    after: message('methods.timed-catch.after'),
    called: { walk: message('methods.moment.catch') },
  },
  fields: (outlets) => [
    ...perOutlet(tare(message('readings.emptyBucket')), outlets),
    COURSE,
    ...COURSE_TIMES,
    { id: 'catchTime', label: message('readings.catchTime'), kind: 'time', placeholder: '20 s', at: 'walk' },
    ...perOutlet(mass('gross', message('readings.fullBucket'), '3.10 kg', 'after'), outlets),
  ],
  isWhole: (readings, outlets) => catchesOf(readings, outlets) !== null,
  work(readings, basis) {
    const catches = catchesOf(readings, basis.outlets)!;
    const standing = timedCatch({
      catches,
      catchS: readings['catchTime']!,
      courseM: readings['course']!,
      courseS: courseTime(readings),
      spacingM: swath(basis),
    });
    return { ...ofEachRow(standing, basis), outlets: apartOf(catches) };
  },
  line: ({ nets, over, seconds, courseTime: walked, ground }) => [
    ...nets(),
    over,
    seconds('catchTime'),
    ...walked(),
    ...ground('course'),
  ],
  suits({ kind, tools }) {
    const standing = rigKind(kind).runsStanding;
    if (standing === 'no') return no(message('methods.why.wheels'));
    if (tools.scale === 'none') return no(message('methods.why.scaleBucket'));
    if (standing === 'unstirred') return [2, message('methods.why.unstirred')];
    return [rigKind(kind).pace[1] > 2 ? 7 : 5, message('methods.why.standing')];
  },
};
