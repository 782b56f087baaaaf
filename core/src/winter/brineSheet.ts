import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readPercent } from '../fields/counts.ts';
import { message } from '../messages/message.ts';
import { readPositive, readQuantity, type System } from '../quantities/index.ts';
import { readNumber } from '../quantities/numbers.ts';
import { perArea } from '../testing/rate.ts';
import {
  brineFor,
  brineOnGround,
  brineStrength,
  correctedBrine,
  HYDROMETER_MARKS,
  prewetting,
  SAMPLE_C,
  type BrineMaking,
  type BrineOnGround,
  type HydrometerMarks,
  type Prewetting,
} from './brine.ts';
import { BRINE_SALT_IDS, strongest, type BrineSaltId } from './brineSalts.ts';
import { freezesAt } from './freezing.ts';

const text = z.string().max(200);

/** Units that a rate of brine is told in: on a length of lane, or on the ground. */
const RATE_UNITS = ['gal/lane-mile', 'L/lane-km', 'gal/1000 ft2', 'L/m2'] as const;

/** Brine as it is typed: what the hydrometer shows, what the tank is to be, what goes on the pavement. */
export const brineInput = z.object({
  salt: z.enum(BRINE_SALT_IDS),
  marks: z.enum(Object.keys(HYDROMETER_MARKS) as [HydrometerMarks, ...HydrometerMarks[]]),
  /** What the hydrometer shows; empty: the tank is empty, or nobody looked. */
  reading: text,
  /** Of the sample. */
  sample: text,
  temperatureUnit: z.enum(['degC', 'degF']),
  /** Strength that is wanted, per cent. */
  wanted: text,
  tank: text,
  tankUnit: z.enum(['L', 'gal']),
  rate: text,
  rateUnit: z.enum(RATE_UNITS),
  lane: text,
  laneUnit: z.enum(['m', 'ft']),
  /** Temperature of the pavement. */
  pavement: text,
  /** Dry salt that is wetted before it is spread, and with how much brine. */
  load: text,
  loadUnit: z.enum(['t', 'ton']),
  wetting: text,
  wettingUnit: z.enum(['L/t', 'gal/ton']),
});
export type BrineInput = z.infer<typeof brineInput>;

/**
 * Nothing is typed yet; the strength is the one that stays liquid longest.
 *
 * @example blankBrine('us').wanted // '23.3'
 */
export function blankBrine(system: System): BrineInput {
  const us = system === 'us';
  return {
    salt: 'sodium-chloride',
    marks: 'sg-60F',
    reading: '',
    sample: '',
    temperatureUnit: us ? 'degF' : 'degC',
    wanted: '23.3',
    tank: '',
    tankUnit: us ? 'gal' : 'L',
    rate: '',
    rateUnit: us ? 'gal/lane-mile' : 'L/lane-km',
    lane: '',
    laneUnit: us ? 'ft' : 'm',
    pavement: '',
    load: '',
    loadUnit: us ? 'ton' : 't',
    wetting: '',
    wettingUnit: us ? 'gal/ton' : 'L/t',
  };
}

/** What brine comes to. */
export interface BrineSheet {
  /** Of what the hydrometer was in, mass per cent. */
  readonly strength: number | null;
  /** Where that freezes, degC; null: stronger than the curve, or not known. */
  readonly freezesC: number | null;
  /** The sample is too cold or too warm to be read as it stands. */
  readonly isSampleOff: boolean;
  readonly wanted: number | null;
  readonly wantedFreezesC: number | null;
  /** For an empty tank. */
  readonly making: BrineMaking | null;
  /** For a tank full of what the hydrometer was in. */
  readonly correction: BrineMaking | null;
  /** Of the brine that is there, else of the one that is wanted. */
  readonly onGround: BrineOnGround | null;
  readonly lPerM2: number | null;
  /** What becomes of it there; null: not known yet. */
  readonly fate: BrineFate | null;
  readonly pavementC: number | null;
  readonly prewetting: Prewetting | null;
  readonly errors: readonly InputError[];
}

/** Nothing freezes; the salt holds nothing so cold; it freezes as it is; it holds some more water. */
export type BrineFate = 'thaws' | 'cold' | 'freezes' | 'holds';

function fateOf({ moreWaterM: more }: BrineOnGround, pavementC: number): BrineFate {
  if (more === null) return pavementC >= 0 ? 'thaws' : 'cold';
  return more <= 0 ? 'freezes' : 'holds';
}

/** A strength that water holds. */
function readStrength(salt: BrineSaltId, input: string): number {
  const percent = readPercent(input, { field: 'wanted', hint: '23.3 %', isPositive: true }) * 100;
  if (percent > strongest(salt)) throw new InputError('brine.too-strong', { field: 'wanted', most: strongest(salt) });
  return percent;
} // prettier-ignore

/** What a hydrometer shows, as a strength. */
function readHydrometer({ salt, marks, reading }: BrineInput): number {
  const shown = readNumber(reading.replace(/\s*kg\s*\/\s*l$/i, ''), 'reading');
  // Marked in whole points: 1150 is 1.150.
  const value = shown > 900 && shown < 1500 ? shown / 1000 : shown;
  const percent = brineStrength(salt, value, marks);
  if (percent !== null) return percent;
  throw value < 1
    ? new InputError('brine.below-water', { field: 'reading', input: reading.trim() })
    : new InputError('brine.too-strong', { field: 'reading', most: strongest(salt) });
}

/**
 * Brine from what a person types: its strength, what a tank takes, and what it does on the pavement.
 *
 * @example brineSheet({ ...blankBrine('metric'), tank: '1000' }).making?.saltKg // 273.703527
 */
export function brineSheet(input: BrineInput): BrineSheet {
  const { errors, readIfPresent } = collect();
  const { salt, rateUnit } = input;
  const temperature = (field: 'sample' | 'pavement') =>
    readIfPresent(input[field], () => readQuantity(input[field], { kind: 'temperature', bareUnit: input.temperatureUnit, field }).si); // prettier-ignore
  const strength = readIfPresent(input.reading, () => readHydrometer(input));
  const sampleC = temperature('sample');
  const wanted = readIfPresent(input.wanted, () => readStrength(salt, input.wanted));
  const tankL = readIfPresent(input.tank, () => readPositive(input.tank, { kind: 'volume', bareUnit: input.tankUnit, field: 'tank' }, message('errors.what.tank')).si); // prettier-ignore
  const kind = rateUnit.includes('lane') ? 'volumePerLaneLength' : 'volumePerArea';
  const rate = readIfPresent(input.rate, () => readPositive(input.rate, { kind, bareUnit: rateUnit, field: 'rate' }, message('errors.what.rate'))); // prettier-ignore
  const laneM = readIfPresent(input.lane, () => readPositive(input.lane, { kind: 'length', bareUnit: input.laneUnit, field: 'lane' }, message('errors.what.width')).si); // prettier-ignore
  const pavementC = temperature('pavement');
  const loadKg = readIfPresent(input.load, () => readPositive(input.load, { kind: 'mass', bareUnit: input.loadUnit, field: 'load' }, message('errors.what.load')).si); // prettier-ignore
  const lPerKg = readIfPresent(input.wetting, () => readPositive(input.wetting, { kind: 'volumePerMass', bareUnit: input.wettingUnit, field: 'wetting' }, message('errors.what.rate')).si); // prettier-ignore
  const lPerM2 = rate && perArea({ si: rate.si, dimension: kind }, laneM);
  const used = strength ?? wanted;
  const onGround =
    lPerM2 === null || !used || pavementC === null ? null : brineOnGround(salt, lPerM2, used, pavementC);
  return {
    strength,
    freezesC: strength === null ? null : freezesAt(salt, strength),
    isSampleOff: sampleC !== null && (sampleC < SAMPLE_C.low || sampleC > SAMPLE_C.high),
    wanted,
    wantedFreezesC: wanted === null ? null : freezesAt(salt, wanted),
    making: tankL === null || wanted === null ? null : brineFor(salt, tankL, wanted),
    correction:
      tankL === null || wanted === null || strength === null
        ? null
        : correctedBrine(salt, tankL, strength, wanted),
    onGround,
    fate: onGround && fateOf(onGround, pavementC!),
    lPerM2,
    pavementC,
    prewetting: loadKg === null || lPerKg === null || !used ? null : prewetting(salt, loadKg, lPerKg, used),
    errors,
  };
}
