import * as z from 'zod';
import { lengthText, notes, ownIds, partId, text, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';
import type { System } from '../quantities/units.ts';

/** What the pavement is about to do. */
export const TRENDS = ['rising', 'steady', 'falling'] as const;
export type Trend = (typeof TRENDS)[number];

/** Before it snows or freezes, or after. */
export const TREATMENTS = ['before', 'after'] as const;
export type Treatment = (typeof TREATMENTS)[number];

/** What a guide tells rates of. */
export const GUIDE_PRODUCTS = ['dry', 'prewetted', 'liquid'] as const;
export type GuideProduct = (typeof GUIDE_PRODUCTS)[number];

/** Units that a guide tells its rates in: of what is weighed, and of what is sprayed. */
export const GUIDE_DRY_UNITS = ['lb/1000 ft2', 'lb/lane-mile', 'g/m2', 'kg/lane-km'] as const;
export const GUIDE_LIQUID_UNITS = ['gal/1000 ft2', 'gal/lane-mile', 'L/m2', 'L/lane-km'] as const;

export const MAX_GUIDE_LINES = 200;

/** One line of a guide as typed: pavement from cold to warm, in which case, and how much. */
const guideLineInput = z.object({
  id: partId,
  /** The coldest pavement that it holds for; empty: however cold. */
  cold: text,
  /** The warmest; empty: however warm. */
  warm: text,
  trend: z.enum(['any', ...TRENDS]),
  /** What falls or lies there, in the words of the guide. */
  situation: text,
  treatment: z.enum(['any', ...TREATMENTS]),
  product: z.enum(GUIDE_PRODUCTS),
  /** Both empty: nothing is put down, and the advice says what is done. */
  low: text,
  high: text,
  /** What else it says: "plow first". */
  advice: text,
});
export type GuideLineInput = InputOf<typeof guideLineInput>;

/** A guide as it was from a day on. */
const guideVersionInput = z.object({
  id: partId,
  fromDay: text,
  /** What changed. */
  note: text,
  lines: z.array(guideLineInput).max(MAX_GUIDE_LINES),
});
export type GuideVersionInput = InputOf<typeof guideVersionInput>;

/** A rate guide as typed: the crew's own, or that of an authority or a contract. */
export const guideInput = z.object({
  name: text,
  /** Whose it is. */
  source: notes,
  temperatureUnit: z.enum(['degF', 'degC']),
  dryUnit: z.enum(GUIDE_DRY_UNITS),
  liquidUnit: z.enum(GUIDE_LIQUID_UNITS),
  /** What a rate on a lane is on. */
  lane: lengthText,
  versions: z
    .array(guideVersionInput)
    .min(1)
    .max(20)
    .refine(ownIds, { params: { sentence: message('errors.ownIds') } }),
});
export type GuideInput = InputOf<typeof guideInput>;

/**
 * The unit that bare rates of a line count in.
 *
 * @example guideRateUnit({ dryUnit: 'g/m2', liquidUnit: 'L/m2' }, 'liquid') // 'L/m2'
 */
export const guideRateUnit = (
  { dryUnit, liquidUnit }: Pick<GuideInput, 'dryUnit' | 'liquidUnit'>,
  product: GuideLineInput['product'],
) => (product === 'liquid' ? liquidUnit : dryUnit);

/**
 * A line of which nothing is known yet.
 *
 * @example blankGuideLine('a').trend // 'any'
 */
export const blankGuideLine = (id: string): GuideLineInput => ({
  id,
  cold: '',
  warm: '',
  trend: 'any',
  situation: '',
  treatment: 'any',
  product: 'dry',
  low: '',
  high: '',
  advice: '',
});

/**
 * A guide with one empty line, from a day on.
 *
 * @param ids of its version and of its line
 * @example blankGuide('us', ['v', 'a'], '2026-11-01').temperatureUnit // 'degF'
 */
export const blankGuide = (
  system: System,
  [version, line]: readonly [string, string],
  day: string,
): GuideInput => ({
  name: '',
  source: '',
  temperatureUnit: system === 'us' ? 'degF' : 'degC',
  dryUnit: system === 'us' ? 'lb/1000 ft2' : 'g/m2',
  liquidUnit: system === 'us' ? 'gal/1000 ft2' : 'L/m2',
  lane: { text: '', unit: system === 'us' ? 'ft' : 'm' },
  versions: [{ id: version, fromDay: day, note: '', lines: [blankGuideLine(line)] }],
});
