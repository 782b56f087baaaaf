import { message, type Message } from '../messages/message.ts';
import { readCount } from '../fields/counts.ts';
import { meanOf, scatterOver } from '../numeric/spread.ts';
import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { lengthUnit, text, type InputOf } from '../fields/schema.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { LengthUnit } from '../quantities/units.ts';

/** One's own pace, from walks along a line of known length; and a measuring wheel, from rolling along the same. */
export const pacesInput = z.object({
  /** The known line. */
  line: text,
  unit: lengthUnit,
  /** Paces counted on each walk along it. */
  walks: z.array(text).max(12),
  /** What the wheel showed for the line; empty: it is taken as it shows. */
  wheel: text,
});
export type PaceInput = InputOf<typeof pacesInput>;

/**
 * A pace and a wheel of which nothing is known yet.
 *
 * @example blankPace('ft').unit // 'ft'
 */
export const blankPace = (unit: LengthUnit): PaceInput => ({
  line: '',
  unit,
  walks: ['', '', ''],
  wheel: '',
});

/** A pace as walked. */
export interface PaceResult {
  /** Length of one pace, m. */
  readonly paceM: number;
  /** Standard uncertainty of the mean pace over itself; from the scatter of the walks, or 0.03 for a single one. */
  readonly uRelative: number;
  /** Scatter of the walks (n - 1) over their mean; null for a single walk. */
  readonly scatter: number | null;
  readonly walks: number;
  /** Band of an area that was paced, about 95 %, for the pace alone: it counts twice in an area. */
  readonly areaBand: number;
}

export interface PacesResult {
  readonly pace: PaceResult | null;
  /** True length over what the wheel shows; 1 when it was not tried. */
  readonly wheelFactor: number;
  readonly errors: readonly InputError[];
}

/** A single walk says nothing of its scatter: 3 % is what practised people show. */
const ONE_WALK = 0.03;

/**
 * A person's pace and a wheel's factor from a known line: `pace = line / mean count`.
 *
 * @param field path of what was typed, for errors
 * @example evaluatePaces({ line: '50 m', unit: 'm', walks: ['61', '62', '60'], wheel: '49.5' }, 'pace').pace.paceM // 0.8197
 */
export function evaluatePaces({ line, unit, walks, wheel }: PaceInput, field: string): PacesResult {
  const { errors, readIfPresent } = collect();
  const length = (text: string, name: 'line' | 'wheel', what: Message) =>
    readIfPresent(
      text,
      () => readPositive(text, { kind: 'length', bareUnit: unit, field: `${field}.${name}` }, what).si,
    );
  const lineM = length(line, 'line', message('errors.what.knownLine'));
  const wheelM = length(wheel, 'wheel', message('errors.what.wheel'));
  const counts = walks.flatMap((text, index) => {
    const wanted = { field: `${field}.walks.${index}`, hint: '61', most: Infinity, isPositive: true };
    const count = readIfPresent(text, () => readCount(text, wanted));
    return count === null ? [] : [count];
  });
  const wheelFactor = lineM !== null && wheelM !== null ? lineM / wheelM : 1;
  if (lineM === null || counts.length === 0) return { pace: null, wheelFactor, errors };
  const mean = meanOf(counts);
  const scatter = scatterOver(counts);
  // Counting to whole paces is itself uncertain by 1 / sqrt(12) of a pace.
  const counting = 1 / Math.sqrt(12) / mean / Math.sqrt(counts.length);
  const uRelative = Math.hypot(scatter === null ? ONE_WALK : scatter / Math.sqrt(counts.length), counting);
  return {
    pace: { paceM: lineM / mean, uRelative, scatter, walks: counts.length, areaBand: 2 * 2 * uRelative },
    wheelFactor,
    errors,
  };
}
