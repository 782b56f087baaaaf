import * as z from 'zod';
import {
  benchRateUnit,
  idOrNone,
  lengthUnit,
  massUnit,
  notes,
  partId,
  text,
  type InputOf,
} from '../fields/schema.ts';
import { paceInput } from '../machines/readPace.ts';
import { widthInput } from '../machines/width.ts';
import { blankTools, toolsInput } from './tools.ts';
import { METHOD_IDS, type MethodId } from './methodTable.ts';

/** The units of numbers that are typed without one. */
export const bareUnits = z.object({ mass: massUnit, length: lengthUnit });

/** A reading that was taken anew, and why: it stays beside the one that counts. */
const earlierReading = z.object({ field: z.string().max(40), text, why: text });
export type EarlierReading = InputOf<typeof earlierReading>;

/** One run of a test as typed: nothing of it is overwritten, a wrong one is excluded with its reason. */
export const runInput = z.object({
  id: partId,
  /** Which appended row says it by now: its own id, or that of the last one that says it anew; empty: it is not appended yet. */
  row: z.string().max(40),
  onDay: text,
  setting: text,
  method: z.enum(METHOD_IDS),
  /** What the method asks for, by field. */
  readings: z.record(z.string().max(40), text),
  earlier: z.array(earlierReading).max(200),
  /** What its bare numbers are in; null: the units of the calibration. */
  units: bareUnits.nullable(),
  /** The width that this run was made at; null: that of the calibration. */
  width: widthInput.nullable(),
  /** Which container was weighed, so that its tare is known the next time. */
  container: text,
  /** Where a run that is being made stands; empty: it is done. */
  step: z.string().max(20),
  /** What was looked at before it. */
  checked: z.array(text).max(120),
  /** Nothing came out: a result, whatever else was read. */
  noFlow: z.boolean(),
  /** Why it does not count; empty: it counts. */
  excluded: text,
  note: text,
});
export type RunInput = InputOf<typeof runInput>;

export const MAX_RUNS = 500;

/** The setting that was accepted, and what it rests on: as it stood on that day. */
const signOffInput = z.object({
  setting: text,
  onDay: text,
  by: text,
  /** Dry, damp, with dust in it: how the product was. */
  state: text,
  pace: paceInput,
  width: widthInput,
  second: text,
  lot: text,
  grain: text,
  /** The rows of the test runs that it rests on; what came later is new. */
  runs: z.array(z.string().max(40)).max(MAX_RUNS),
});
export type SignOffInput = InputOf<typeof signOffInput>;

/** Where a first test begins. */
export const STARTS = ['auto', 'low', 'label', 'middle', 'shape'] as const;
export type StartId = (typeof STARTS)[number];

/** What is wanted of a machine and a product, and what was signed off: what is stored of a calibration. Its test runs are appended beside it. */
export const calibrationAim = z.object({
  name: text,
  rig: idOrNone,
  /** The product by name, and its id where it stands on the shelf. */
  product: text,
  productId: idOrNone,
  lot: text,
  grain: text,
  target: z.object({ amount: text, unit: benchRateUnit }),
  /** 5 % ordinary, 10 % for what forgives. */
  tolerance: text,
  /** The rate guide whose bands it is to serve, in place of one rate; empty: none. */
  guide: idOrNone,
  /** Settings that are tested one after the other: "6, 7, 8"; empty: as each run advises. */
  settings: text,
  /** The target is the most that may be put down. */
  isCeiling: z.boolean(),
  start: z.enum(STARTS),
  /** Settings that a label lists, in the unit of the target, and the pace that it means: "3 mph". */
  label: z.object({
    pace: text,
    lines: z.array(z.object({ setting: text, amount: text })).max(60),
  }),
  /** Id of a calibration of this machine for another product, whose shape is borrowed. */
  shape: idOrNone,
  /** What the rates are worked out for. */
  width: widthInput,
  /** The pace of work: what the machine's chart holds for. */
  pace: paceInput,
  /** What is caught of a sprayer in its tests, and how dense the mix is that it will spray; empty: as water. */
  caughtWith: z.enum(['water', 'mix']),
  mixDensity: z.object({ text, unit: z.enum(['kg/L', 'g/L', 'lb/gal']) }),
  /** What the second control stands at. */
  second: text,
  /** The mark at which this product begins to run; empty: that of the machine, if it was noted. */
  firstFlow: text,
  /** What is at hand for testing. */
  tools: toolsInput,
  /** The step that the scale shows; empty: the last digit of each weighing. */
  scaleStep: text,
  units: bareUnits,
  /** Questions that were answered with yes, by id. */
  confirmed: z.array(z.string().max(200)).max(1000),
  signOff: signOffInput.nullable(),
  notes,
});
export type CalibrationAim = InputOf<typeof calibrationAim>;

/** A machine calibrated for a product, as typed, with its test runs: those that are appended, and those that are being made. */
export const calibrationInput = calibrationAim.extend({ runs: z.array(runInput).max(MAX_RUNS).default([]) });
export type CalibrationInput = InputOf<typeof calibrationInput>;
export type LabelSettingsInput = CalibrationInput['label'];

/**
 * A calibration as it begins.
 *
 * @example blankCalibration('metric').target.unit // 'kg/ha'
 */
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
    guide: '',
    settings: '',
    isCeiling: false,
    start: 'auto',
    label: { pace: '', lines: [] },
    shape: '',
    width: { text: '', unit: length, by: 'chosen' },
    pace: { course: '', unit: length, time: '' },
    caughtWith: 'water',
    mixDensity: { text: '', unit: us ? 'lb/gal' : 'kg/L' },
    second: '',
    firstFlow: '',
    tools: blankTools(),
    scaleStep: '',
    units: { mass: us ? 'lb' : 'kg', length },
    runs: [],
    confirmed: [],
    signOff: null,
    notes: '',
  };
}

/**
 * A run in which nothing was read yet.
 *
 * @example blankRun('r', '2026-04-10', 'catch').readings // {}
 */
export const blankRun = (id: string, onDay: string, method: MethodId): RunInput => ({
  id,
  row: '',
  onDay,
  setting: '',
  method,
  readings: {},
  earlier: [],
  units: null,
  width: null,
  container: '',
  step: '',
  checked: [],
  noFlow: false,
  excluded: '',
  note: '',
});
