import type { LengthUnit, MassUnit } from '../quantities/units.ts';
import type { PaceOfWork } from '../rigs/readPace.ts';
import type { Mode } from './overlap.ts';

/** Three habits of choosing a spacing, each honest about what it knows. */
export const WAYS = {
  trays: 'a row of trays across the throw',
  half: 'half the throw apart: it reaches the neighbouring track',
  full: 'the full throw apart',
} as const;
export type Way = keyof typeof WAYS;
export const WAY_IDS = Object.keys(WAYS) as Way[];

/** What was read of each tray. */
export const CATCH_KINDS = {
  mass: 'weights',
  count: 'granules counted',
  height: 'heights in tubes',
} as const;
export type CatchKind = keyof typeof CATCH_KINDS;

/** The spacing that was accepted, and since when. */
export interface AcceptedInput {
  readonly text: string;
  readonly unit: LengthUnit;
  readonly onDay: string;
  readonly by: string;
}

/** A width test as typed. */
export interface WidthTestInput {
  readonly name: string;
  /** Id of the machine; empty: not said. */
  readonly rig: string;
  readonly product: string;
  /** Setting and second control it was thrown at. */
  readonly setting: string;
  readonly second: string;
  readonly onDay: string;
  readonly pace: PaceOfWork;
  readonly way: Way;
  /** All the width that is hit, by tape. */
  readonly throw: { readonly text: string; readonly unit: LengthUnit };
  /** The side deflector is down: a pattern of its own, for trim passes. */
  readonly deflector: boolean;
  /** Trays at equal distances about the middle, a wider gap for the wheels where one is left; or positions typed. */
  readonly layout: {
    readonly count: string;
    readonly spacing: string;
    readonly gap: string;
    /** Positions of the trays, left below 0, apart by spaces; empty: evenly. */
    readonly positions: string;
    readonly unit: LengthUnit;
  };
  readonly tray: { readonly length: string; readonly width: string; readonly unit: LengthUnit };
  readonly passes: string;
  readonly kind: CatchKind;
  readonly unit: MassUnit;
  /** Step of the scale; empty: the last digit. */
  readonly scaleStep: string;
  /** What each tray caught, left to right, a row for each repeat. Empty: the tray is missing. */
  readonly rows: readonly (readonly string[])[];
  /** Most CV that is borne, percent: 15, or 20 for what forgives. */
  readonly limit: string;
  readonly mode: Mode;
  /** The spacing that is looked at; empty: the recommended one. */
  readonly looked: { readonly text: string; readonly unit: LengthUnit };
  /** Id of a calibration whose output brings the shape to its level. */
  readonly calibration: string;
  /** Id of another width test to hold against this one: before something was changed. */
  readonly before: string;
  /** Questions that were answered with yes, by id. */
  readonly answers: readonly string[];
  readonly accepted: AcceptedInput | null;
  readonly notes: string;
}

export const MAX_TRAYS = 200;
export const MAX_ROWS = 12;

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
    way: 'trays',
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
    mode: 'back-and-forth',
    looked: { text: '', unit },
    calibration: '',
    before: '',
    answers: [],
    accepted: null,
    notes: '',
  };
}

/**
 * A width test as this version knows it, from one that an earlier version kept.
 *
 * @example upgradeWidthTest({ name: 'Red, lake feed' }).mode // 'back-and-forth'
 */
export function upgradeWidthTest(kept: Partial<WidthTestInput>): WidthTestInput {
  const blank = blankWidthTest(kept.layout?.unit === 'm' ? 'metric' : 'us');
  return { ...blank, ...kept, layout: { ...blank.layout, ...kept.layout } };
}
