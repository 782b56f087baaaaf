import * as z from 'zod';
import { idOrNone, lengthText, lengthUnit, massUnit, notes, text, type InputOf } from '../fields/schema.ts';
import { paceInput } from '../machines/readPace.ts';
import { PASS_PATTERNS } from './overlap.ts';

/** Three habits of choosing a spacing, each honest about what it knows. */
export const SPACING_METHODS = ['trays', 'half', 'full'] as const;
export type SpacingMethod = (typeof SPACING_METHODS)[number];

/** What was read of each tray. */
export const CATCH_KINDS = ['mass', 'count', 'height'] as const;
export type CatchKind = (typeof CATCH_KINDS)[number];

export const MAX_TRAYS = 200;
export const MAX_ROWS = 12;

/** A width test as typed: how far it throws, what trays across the throw caught, and the spacing that was accepted. */
export const widthTestInput = z.object({
  name: text,
  /** Id of the machine; empty: not said. */
  rig: idOrNone,
  product: text,
  /** Setting and second control it was thrown at. */
  setting: text,
  second: text,
  onDay: text,
  pace: paceInput,
  spacingMethod: z.enum(SPACING_METHODS),
  /** All the width that is hit, by tape. */
  throw: lengthText,
  /** The side deflector is down: a pattern of its own, for trim passes. */
  deflector: z.boolean(),
  /** Trays at equal distances about the middle, a wider gap for the wheels where one is left; or positions typed. */
  layout: z.object({
    count: text,
    spacing: text,
    gap: text,
    /** Positions of the trays, left below 0, apart by spaces; empty: evenly. */
    positions: notes,
    unit: lengthUnit,
  }),
  tray: z.object({ length: text, width: text, unit: lengthUnit }),
  passes: text,
  kind: z.enum(CATCH_KINDS),
  unit: massUnit,
  /** Step of the scale; empty: the last digit. */
  scaleStep: text,
  /** What each tray caught, left to right, a row for each repeat. Empty: the tray is missing. */
  rows: z.array(z.array(text).max(MAX_TRAYS)).max(MAX_ROWS),
  /** Most CV that is borne, percent: 15, or 20 for what forgives. */
  limit: text,
  passPattern: z.enum(PASS_PATTERNS),
  /** The spacing that is looked at; empty: the recommended one. */
  looked: lengthText,
  /** Id of a calibration whose output brings the shape to its level. */
  calibration: idOrNone,
  /** Id of another width test to hold against this one: before something was changed. */
  before: idOrNone,
  /** Questions that were answered with yes, by id. */
  confirmed: z.array(z.string().max(500)).max(500),
  accepted: lengthText.extend({ onDay: text, by: text }).nullable(),
  notes,
});
export type WidthTestInput = InputOf<typeof widthTestInput>;
/** The spacing that was accepted, and since when. */
export type AcceptedInput = NonNullable<WidthTestInput['accepted']>;

/**
 * A width test as it begins.
 *
 * @example blankWidthTest('metric').layout.unit // 'm'
 */
export function blankWidthTest(system: 'us' | 'metric'): WidthTestInput {
  const us = system === 'us';
  const unit = us ? 'ft' : 'm';
  return {
    name: '',
    rig: '',
    product: '',
    setting: '',
    second: '',
    onDay: '',
    pace: { course: '', unit, time: '' },
    spacingMethod: 'trays',
    throw: { text: '', unit },
    deflector: false,
    layout: { count: us ? '13' : '17', spacing: us ? '2' : '0.5', gap: '', positions: '', unit },
    tray: { length: us ? '20' : '0.5', width: us ? '12' : '0.3', unit: us ? 'in' : 'm' },
    passes: '3',
    kind: 'mass',
    unit: 'g',
    scaleStep: '',
    rows: [[]],
    limit: '15',
    passPattern: 'back-and-forth',
    looked: { text: '', unit },
    calibration: '',
    before: '',
    confirmed: [],
    accepted: null,
    notes: '',
  };
}
