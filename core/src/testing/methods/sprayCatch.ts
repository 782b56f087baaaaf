import { message } from '../../messages/message.ts';
import { finite, requirePositive } from '../../errors/preconditions.ts';
import { resolutionU } from '../../numeric/resolution.ts';
import { combined, relative, type Reading, type UncertaintySource } from '../uncertainty.ts';
import { rigKind } from '../../machines/kinds.ts';
import { COURSE, COURSE_TIMES, courseTime } from './course.ts';
import type { Method, MethodField, Parts, Readings } from './method.ts';
import { operator } from '../../working/working.ts';

/** What was caught of one nozzle, and for how long. */
export interface SprayedInto {
  readonly volumeL: Reading;
  readonly timeS: Reading;
}

/** Catches of all nozzles while they spray, and how long a course takes at the speed of work. */
export interface SprayCatch {
  readonly catches: readonly SprayedInto[];
  readonly courseM: Reading;
  /** Mean time over the course. Its scatter is no reading: it enters with the runs that share the timings. */
  readonly courseS: Reading;
  /** What all nozzles together cover. */
  readonly widthM: Reading;
}

const sumOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);

/**
 * Catch of what is sprayed: `(volume / catch time, of all nozzles) x course time / (course length x width)`.
 *
 * @throws InputError number.unusable
 * @example sprayCatch({ catches: [0.48, 0.47, 0.505, 0.49].map((L) => ({ volumeL: read(L), timeS: read(30) })), courseM: read(60), courseS: read(36), widthM: wide(2) }).rateSi // 0.01945
 */
export function sprayCatch({ catches, courseM, courseS, widthM }: SprayCatch) {
  requirePositive({ courseM: courseM.si, courseS: courseS.si, widthM: widthM.si });
  catches.forEach(({ timeS }) => requirePositive({ catchS: timeS.si }));
  const flowsLPerS = catches.map(({ volumeL, timeS }) => finite(volumeL.si / timeS.si));
  const flow = sumOf(flowsLPerS);
  const outputPerM = finite((flow * courseS.si) / courseM.si);
  // Each jug is read for itself; the watch is one, and its step shared.
  const uVolumes = Math.hypot(...catches.map(({ volumeL, timeS }) => resolutionU(volumeL.resolutionSi) / timeS.si)); // prettier-ignore
  const uCatch = sumOf(catches.map(({ timeS }, index) => flowsLPerS[index]! * relative(timeS)));
  const sources: UncertaintySource[] = [
    { of: 'volume', u: flow > 0 ? uVolumes / flow : 0 },
    { of: 'time', u: Math.hypot(flow > 0 ? uCatch / flow : 0, relative(courseS)) },
    { of: 'length', u: relative(courseM) },
    { of: 'width', u: relative(widthM) },
  ];
  return {
    outputPerM,
    rateSi: finite(outputPerM / widthM.si),
    uReadings: combined(sources),
    sources,
    netSi: sumOf(catches.map(({ volumeL }) => volumeL.si)),
    flowsLPerS,
  };
}

const ofNozzle = (id: string, at: number, nozzles: number): string =>
  nozzles === 1 ? id : `${id}.${at + 1}`;

/** A volume for each nozzle, and a time of its own where one was caught longer than the others. */
function nozzleFields(nozzles: number): MethodField[] {
  const volume = message(nozzles === 1 ? 'readings.caughtVolume' : 'readings.nozzleVolume');
  const of = (label: MethodField['label'], number: number) =>
    nozzles === 1 ? label : message('readings.nozzle', { reading: label, number });
  const fields = Array.from({ length: nozzles }, (_, index): MethodField[] => [
    { id: ofNozzle('volume', index, nozzles), label: of(volume, index + 1), kind: 'volume', placeholder: '480 mL', at: 'after', mayBeNone: nozzles > 1 },
    ...(nozzles === 1 ? [] : [{ id: `ownTime.${index + 1}`, label: of(message('readings.ownCatchTime'), index + 1), kind: 'time', placeholder: '', at: 'after', optional: true } as const]),
  ]); // prettier-ignore
  return fields.flat();
}

/** The catches that are read so far; null while one is missing. */
function catchesIn(readings: Readings, nozzles: number): SprayedInto[] | null {
  const common = readings['catchTime'];
  const all = Array.from({ length: nozzles }, (_, index) => {
    const volumeL = readings[ofNozzle('volume', index, nozzles)];
    const timeS = readings[`ownTime.${index + 1}`] ?? common;
    return volumeL && timeS ? { volumeL, timeS } : null;
  });
  return all.every((each) => each !== null) ? all : null;
}

/** A jug under each nozzle, or a bucket under the gun, for a time. */
export const sprayCatchMethod: Method = {
  how: message('methods.spray-catch.how'),
  needs: ['jugs', 'watch', 'tape', 'gauge'],
  planned: 'time',
  isWet: true,
  steps: {
    before: message('methods.spray-catch.before'),
    walk: message('methods.spray-catch.walk'),
    after: message('methods.spray-catch.after'),
    called: {
      before: message('methods.moment.prime'),
      walk: message('methods.moment.catch'),
      after: message('methods.moment.volumes'),
    },
  },
  fields: (nozzles) => [
    { id: 'pressure', label: message('readings.pressure'), kind: 'pressure', placeholder: '40 psi', at: 'before', optional: true },
    COURSE,
    ...COURSE_TIMES,
    { id: 'catchTime', label: message('readings.catchTime'), kind: 'time', placeholder: '30 s', at: 'walk' },
    ...nozzleFields(nozzles),
  ], // prettier-ignore
  work(readings, { outlets, width }) {
    const caught = sprayCatch({
      catches: catchesIn(readings, outlets)!,
      courseM: readings['course']!,
      courseS: courseTime(readings),
      widthM: width,
    });
    return { ...caught, outlets: null };
  },
  line: ({ caughtVolumes, courseTime: timed, ground }) => [
    ...caughtVolumes(),
    ...timed(),
    ...ground('course'),
  ],
  suits({ kind }) {
    return rigKind(kind).nozzles === 'row'
      ? [9, message('methods.why.eachNozzle')]
      : [8, message('methods.why.bucket')];
  },
};

/** Volumes over their times, each nozzle: `( 480 mL + 470 mL ) ÷ 30 s`, or each over its own. */
export function caughtParts(
  nozzles: number,
  { isTyped, volume, seconds, open, close, over }: {
    readonly open: Parts[number];
    readonly close: Parts[number];
    readonly over: Parts[number];
    isTyped(id: string): boolean;
    volume(id: string): Parts[number];
    seconds(id: string): Parts[number];
  },
): Parts {
  const ids = Array.from({ length: nozzles }, (_, index) => ofNozzle('volume', index, nozzles));
  const ownOf = (at: number) => (isTyped(`ownTime.${at + 1}`) ? `ownTime.${at + 1}` : null);
  const hasOwn = ids.some((_, index) => ownOf(index) !== null);
  const plus = (at: number): Parts => (at > 0 ? [operator('+')] : []);
  const timeOf = (at: number): Parts => (hasOwn ? [over, seconds(ownOf(at) ?? 'catchTime')] : []);
  const sum = ids.flatMap((id, index) => plus(index).concat(volume(id), timeOf(index)));
  const all = nozzles > 1 ? [open, ...sum, close] : sum;
  return hasOwn ? all : [...all, over, seconds('catchTime')];
} // prettier-ignore
