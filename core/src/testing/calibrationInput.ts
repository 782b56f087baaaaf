import type { LengthUnit, MassPerAreaUnit, MassUnit } from '../quantities/units.ts';
import type { PaceOfWork } from '../rigs/readPace.ts';
import type { WidthInput } from '../rigs/width.ts';
import { blankTools, type ToolsInput } from './choose.ts';
import type { MethodId } from './methodTable.ts';

/** A reading that was taken anew, and why: it stays beside the one that counts. */
export interface EarlierReading {
  readonly field: string;
  readonly text: string;
  readonly why: string;
}

/** One run of a test as typed: nothing of it is overwritten, a wrong one is struck out with its reason. */
export interface RunInput {
  readonly id: string;
  readonly onDay: string;
  readonly setting: string;
  readonly method: MethodId;
  /** What the method asks for, by field. */
  readonly readings: Readonly<Record<string, string>>;
  readonly earlier: readonly EarlierReading[];
  /** The width that this run was made at; null: that of the calibration. */
  readonly width: WidthInput | null;
  /** Which container was weighed, so that its tare is known the next time. */
  readonly container: string;
  /** Where a run that is being made stands; empty: it is done. */
  readonly step: string;
  /** What was looked at before it. */
  readonly checked: readonly string[];
  /** Nothing came out: a result, whatever else was read. */
  readonly noFlow: boolean;
  /** Why it does not count; empty: it counts. */
  readonly struck: string;
  readonly note: string;
}

/** The setting that was accepted, and what it rests on: as it stood on that day. */
export interface SignOffInput {
  readonly setting: string;
  readonly onDay: string;
  readonly by: string;
  /** Dry, damp, with dust in it: how the product was. */
  readonly state: string;
  readonly pace: PaceOfWork;
  readonly width: WidthInput;
  readonly second: string;
  readonly lot: string;
  readonly grain: string;
}

/** Settings that a label lists, in the unit of the target, and the pace that it means: "3 mph". */
export interface LabelSettingsInput {
  readonly pace: string;
  readonly lines: readonly { readonly setting: string; readonly amount: string }[];
}

/** Where a first test begins. */
export const STARTS = {
  auto: 'by what is known: another product’s chart, else the label, else low',
  low: 'low: not quite half of the way from where it first runs to fully open',
  label: 'at the label’s setting, for your pace',
  middle: 'in the middle of the scale',
  shape: 'where another product’s chart points',
} as const;
export type StartId = keyof typeof STARTS;

/** A machine calibrated for a product, as typed. */
export interface CalibrationInput {
  readonly name: string;
  readonly rig: string;
  /** The product by name, and its id where it stands on the shelf. */
  readonly product: string;
  readonly productId: string;
  readonly lot: string;
  readonly grain: string;
  readonly target: { readonly amount: string; readonly unit: MassPerAreaUnit };
  /** 5 % ordinary, 10 % for what forgives. */
  readonly tolerance: string;
  /** The target is the most that may be put down. */
  readonly isCeiling: boolean;
  readonly start: StartId;
  readonly label: LabelSettingsInput;
  /** Id of a calibration of this machine for another product, whose shape is borrowed. */
  readonly shape: string;
  /** What the rates are worked out for. */
  readonly width: WidthInput;
  /** The pace of work: what the machine's chart holds for. */
  readonly pace: PaceOfWork;
  /** What the second control stands at. */
  readonly second: string;
  /** The mark at which this product begins to run; empty: that of the machine, if it was noted. */
  readonly firstFlow: string;
  /** What is at hand for testing. */
  readonly tools: ToolsInput;
  /** The step that the scale shows; empty: the last digit of each weighing. */
  readonly scaleStep: string;
  readonly units: { readonly mass: MassUnit; readonly length: LengthUnit };
  readonly runs: readonly RunInput[];
  /** Questions that were answered with yes, by id. */
  readonly answers: readonly string[];
  readonly signOff: SignOffInput | null;
  readonly notes: string;
}

export const MAX_RUNS = 500;

export function blankCalibration(system: 'us' | 'metric'): CalibrationInput {
  const us = system === 'us';
  const length = us ? 'ft' : 'm';
  return {
    name: '',
    rig: '',
    product: '',
    productId: '',
    lot: '',
    grain: '',
    target: { amount: '', unit: us ? 'lb/1000 ft2' : 'kg/ha' },
    tolerance: '5',
    isCeiling: false,
    start: 'auto',
    label: { pace: '', lines: [] },
    shape: '',
    width: { text: '', unit: length, by: 'chosen' },
    pace: { course: '', unit: length, time: '' },
    second: '',
    firstFlow: '',
    tools: blankTools(),
    scaleStep: '',
    units: { mass: us ? 'lb' : 'kg', length },
    runs: [],
    answers: [],
    signOff: null,
    notes: '',
  };
}

export const blankRun = (id: string, onDay: string, method: MethodId): RunInput => ({
  id,
  onDay,
  setting: '',
  method,
  readings: {},
  earlier: [],
  width: null,
  container: '',
  step: '',
  checked: [],
  noFlow: false,
  struck: '',
  note: '',
});

/**
 * A calibration as this version knows it, from one that an earlier version kept: what it did not know yet is blank.
 *
 * @example upgradeCalibration({ name: 'Red spreader, lake feed' }).runs // []
 */
export function upgradeCalibration(kept: Partial<CalibrationInput>): CalibrationInput {
  const blank = blankCalibration(kept.units?.mass === 'kg' || kept.units?.mass === 'g' ? 'metric' : 'us');
  const { signOff = null, runs = [] } = kept;
  const atSigning = { state: '', pace: kept.pace ?? blank.pace, width: kept.width ?? blank.width, second: kept.second ?? '', lot: kept.lot ?? '', grain: kept.grain ?? '' }; // prettier-ignore
  return {
    ...blank,
    ...kept,
    tools: { ...blank.tools, ...kept.tools },
    runs: runs.map((run) => Object.assign({}, blankRun(run.id, run.onDay, run.method), run)),
    signOff: signOff && { ...atSigning, ...signOff },
  };
}
