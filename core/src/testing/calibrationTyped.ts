import type { LengthUnit, MassPerAreaUnit, MassUnit } from '../quantities/units.ts';
import type { MethodId } from './methodTable.ts';

/** One run of a test as typed: nothing of it is overwritten, a wrong one is struck out with its reason. */
export interface RunTyped {
  readonly id: string;
  readonly onDay: string;
  readonly setting: string;
  readonly method: MethodId;
  /** What the method asks for, by field. */
  readonly readings: Readonly<Record<string, string>>;
  /** Why it does not count; empty: it counts. */
  readonly struck: string;
  readonly note: string;
}

/** The setting that was accepted, and what it rests on. */
export interface SignOffTyped {
  readonly setting: string;
  readonly onDay: string;
  readonly by: string;
}

/** A machine calibrated for a product, as typed. */
export interface CalibrationTyped {
  readonly name: string;
  readonly rig: string;
  /** Product with its lot or grain size. */
  readonly product: string;
  readonly lot: string;
  readonly target: { readonly amount: string; readonly unit: MassPerAreaUnit };
  /** 5 % ordinary, 10 % for what forgives. */
  readonly tolerance: string;
  /** The target is the most that may be put down. */
  readonly isCeiling: boolean;
  readonly start: 'low' | 'middle';
  /** Hopper width, pass spacing or row spacing that the tests rest on, and whether it was measured or chosen. */
  readonly width: { readonly text: string; readonly unit: LengthUnit; readonly by: 'measured' | 'chosen' };
  /** The step that the scale shows; empty: the last digit of each weighing. */
  readonly scaleStep: string;
  readonly units: { readonly mass: MassUnit; readonly length: LengthUnit };
  readonly runs: readonly RunTyped[];
  readonly signOff: SignOffTyped | null;
  readonly notes: string;
}

export const MOST_RUNS = 500;

export function blankCalibration(system: 'us' | 'metric'): CalibrationTyped {
  const us = system === 'us';
  const length = us ? 'ft' : 'm';
  return {
    name: '',
    rig: '',
    product: '',
    lot: '',
    target: { amount: '', unit: us ? 'lb/1000 ft2' : 'kg/ha' },
    tolerance: '5',
    isCeiling: false,
    start: 'low',
    width: { text: '', unit: length, by: 'chosen' },
    scaleStep: '',
    units: { mass: us ? 'lb' : 'kg', length },
    runs: [],
    signOff: null,
    notes: '',
  };
}

export const blankRun = (id: string, onDay: string, method: MethodId): RunTyped => ({
  id,
  onDay,
  setting: '',
  method,
  readings: {},
  struck: '',
  note: '',
});
