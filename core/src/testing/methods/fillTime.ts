import { message } from '../../messages/message.ts';
import { finite, requirePositive } from '../../errors/preconditions.ts';
import { rigKind } from '../../machines/kinds.ts';
import { combined, relative, type UncertaintySource } from '../uncertainty.ts';
import { COURSE, COURSE_TIMES, courseTime, lessTare } from './course.ts';
import { mass, no, type Method } from './method.ts';

/** A container that has to fill while the machine goes as far as its content serves. */
export interface FillTime {
  readonly targetKgPerM2: number;
  /** Distance between rows, or pass spacing, m. */
  readonly spacingM: number;
  readonly containerKg: number;
  readonly speedMPerS: number;
  /** Outlets that feed one row together while the container hangs under one of them; 1 where each feeds its own. */
  readonly outletsPerRow: number;
}

/** What the container has to do. */
export interface FillAim {
  /** On each metre of a row, kg/m. */
  readonly outputPerM: number;
  /** Distance that the container under one outlet serves, m: the first answer of this method. */
  readonly servesM: number;
  /** The time in which it has to fill, s. */
  readonly fillS: number;
}

/**
 * Fill-time: how far a container's content goes at the target, and so in what time it has to fill.
 *
 * @example fillAim({ targetKgPerM2: 0.022, spacingM: 1.5, containerKg: 4.6, speedMPerS: 0.9, outletsPerRow: 1 }) // { outputPerM: 0.033, servesM: 139.39, fillS: 154.88 }
 */
export function fillAim(asked: FillTime): FillAim {
  const { targetKgPerM2, spacingM, containerKg, speedMPerS, outletsPerRow } = asked;
  requirePositive({ targetKgPerM2, spacingM, containerKg, speedMPerS, outletsPerRow });
  const outputPerM = targetKgPerM2 * spacingM;
  const servesM = finite((containerKg * outletsPerRow) / outputPerM);
  return { outputPerM, servesM, fillS: finite(servesM / speedMPerS) };
}

/**
 * The rate from the time that a container took to fill.
 *
 * @param filledS s, above 0
 * @example rateFromFill({ targetKgPerM2: 0.022, spacingM: 1.5, containerKg: 4.6, speedMPerS: 0.9, outletsPerRow: 1 }, 142).rateSi // 0.023996: 9 % over the target
 */
export function rateFromFill(
  { containerKg, speedMPerS, spacingM, outletsPerRow }: Omit<FillTime, 'targetKgPerM2'>,
  filledS: number,
): { outputPerM: number; rateSi: number } {
  requirePositive({ containerKg, speedMPerS, spacingM, outletsPerRow, filledS });
  const outputPerM = finite((containerKg * outletsPerRow) / (filledS * speedMPerS));
  return { outputPerM, rateSi: finite(outputPerM / spacingM) };
}

/** A container of known content fills while a watch runs. */
export const fillTimeMethod: Method = {
  how: message('methods.fill-time.how'),
  needs: ['knownContainer', 'watch', 'tape'],
  planned: 'time',
  fillsContainer: true,
  steps: {
    before: message('methods.fill-time.before'),
    walk: message('methods.fill-time.walk'),
    after: message('methods.fill-time.after'),
    called: { walk: message('methods.moment.catch'), after: message('methods.moment.done') },
  },
  fields: () => [
    mass('tare', message('readings.emptyContainer'), '0.74 kg', 'before', {
      optional: true,
      mayBeNone: true,
    }),
    mass('content', message('readings.content'), '4.6 kg', 'before'),
    COURSE,
    ...COURSE_TIMES,
    { id: 'fillTime', label: message('readings.fillTime'), kind: 'time', placeholder: '155 s', at: 'walk' },
  ],
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
    const asked = {
      containerKg: content.si,
      speedMPerS: course.si / time.si,
      spacingM: width.si,
      outletsPerRow: outlets / rows,
    };
    return {
      ...rateFromFill(asked, fill.si),
      uReadings: combined(sources),
      sources,
      netSi: content.si,
      outlets: null,
    };
  },
  line: ({ net, times, outletsPerRow, over, seconds, courseTime: walked, ofOneRow }) => [
    ...net('content', 'tare'),
    ...times('outlets', outletsPerRow),
    over,
    seconds('fillTime'),
    ...walked(),
    ...ofOneRow('course'),
  ],
  suits({ kind }) {
    if (rigKind(kind).width !== 'rows') return no(message('methods.why.rowsOnly'));
    return [3, message('methods.why.noScaleContainer')];
  },
};
