import { message, type Message } from '../messages/message.ts';
import { finite } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';
import { showQuantity } from '../quantities/show.ts';
import { UNITS, type LengthUnit } from '../quantities/units.ts';
import type { BenchRig } from './benchRig.ts';
import { USUAL_PACE, type CalibrationResult } from './calibration.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { methodOf, type MethodId } from './methodTable.ts';
import { isPerLength } from './rate.ts';
import { student95 } from './student.ts';
import { resolutionU } from '../numeric/resolution.ts';
import { COVERAGE, leastNet } from './uncertainty.ts';

/** What a run has to be for its result to be good enough, worked out before anyone walks. */
export interface TestPlan {
  /** Product that has to be weighed, kg. */
  readonly netKg: number;
  /** Length travelled in all, m, and in how many fresh strips; null where no strip is walked. */
  readonly strip: { readonly lengthM: number; readonly strips: number } | null;
  /** Time of a catch, s; null where none is timed. */
  readonly catchS: number | null;
  /** Ground of a known size, m2; null where there is none. */
  readonly areaM2: number | null;
  /** Product to put into the hopper for two such runs, kg, with a reserve so that it feeds evenly. */
  readonly loadKg: number;
  /** The hopper cannot hold that at once. */
  readonly overHopper: boolean;
  /** Band of the mean of two such runs, about 95 %, share of it. */
  readonly uExpected: number;
}

/** What a plan is made for. */
export interface PlanWanted {
  readonly method: MethodId;
  /** Product on each metre travelled that is hoped for, kg/m, above 0. */
  readonly outputKgPerM: number;
  readonly widthM: number;
  /** Step of the scale, kg, above 0. */
  readonly scaleStepKg: number;
  /** Share of the rate, above 0. */
  readonly tolerance: number;
  readonly speedMPerS: number;
  readonly hopperKg: number | null;
  readonly lengthUnit: LengthUnit;
}

/** A strip longer than this is walked as several: people have so much straight ground, m. */
const LONGEST_STRIP_M = 60;
/** Shorter, and opening and shutting at the lines is most of the error, m. */
const SHORTEST_STRIP_M = 12;
const SHORTEST_CATCH_S = 15;
/** A hopper should hold at least this share of its load when a run ends. */
const RESERVE = 0.5;

/** Up to a length that a tape shows well: 5 m or 10 ft steps. */
function handy(lengthM: number, unit: LengthUnit): number {
  const step = unit === 'm' || unit === 'cm' ? 5 : 10 * UNITS.ft.toSi;
  return Math.ceil(lengthM / step - 1e-9) * step;
}

/** Band of the mean of two runs, `sqrt((2 uB)^2 + (t s / sqrt 2)^2)` with the scatter that is believed. */
const bandOfTwo = (uReadings: number): number =>
  Math.hypot(COVERAGE * uReadings, (student95(5) * 0.03) / Math.SQRT2);

/**
 * How much to spread or catch so that the weighing alone is good to half the tolerance, and what follows from it: strip, time,
 * ground and load.
 *
 * @throws InputError quantity.not-positive
 * @example planTest({ method: 'weigh-back', outputKgPerM: 0.0446, widthM: 2.7, scaleStepKg: 0.0227, tolerance: 0.05, speedMPerS: 1.3, hopperKg: null, lengthUnit: 'ft' }).strip // { lengthM: 18.288, strips: 1 }
 */
export function planTest(wanted: PlanWanted): TestPlan {
  const {
    outputKgPerM: output,
    widthM: width,
    scaleStepKg: step,
    tolerance: share,
    speedMPerS: speed,
  } = wanted;
  if (![output, width, step, share, speed].every((value) => value > 0 && Number.isFinite(value)))
    throw new InputError('quantity.not-positive', { field: 'plan', what: message('errors.what.planFigures'), hint: '9 ft' }); // prettier-ignore
  const { method, outputKgPerM, widthM, scaleStepKg, tolerance, speedMPerS, hopperKg, lengthUnit } = wanted;
  const least = leastNet(scaleStepKg, tolerance / 2);
  const { planned } = methodOf(method);
  const whole = handy(Math.max(least / outputKgPerM, SHORTEST_STRIP_M), lengthUnit);
  const strips = Math.ceil(whole / LONGEST_STRIP_M - 1e-9);
  const strip = planned === 'strip' ? { lengthM: handy(whole / strips, lengthUnit), strips } : null;
  const perSecond = outputKgPerM * speedMPerS;
  const catchS = planned === 'time' ? Math.ceil(Math.max(least / perSecond, SHORTEST_CATCH_S) / 5) * 5 : null;
  const rate = outputKgPerM / widthM;
  const areaM2 = planned === 'ground' ? Math.max(least / rate, 40) : null;
  const netKg = strip ? strip.lengthM * strip.strips * outputKgPerM : catchS ? catchS * perSecond : least;
  // Slips of many powers of ten would ask for strips without end.
  if (!(netKg < 1e6) || strips > 1e4)
    throw new InputError('number.unusable', { field: 'plan', input: String(netKg) });
  const loadKg = (2 * netKg) / (1 - RESERVE);
  const uWeighing = (Math.SQRT2 * resolutionU(scaleStepKg)) / netKg;
  return {
    netKg,
    strip,
    catchS,
    areaM2,
    loadKg,
    overHopper: hopperKg !== null && loadKg > hopperKg,
    uExpected: finite(bandOfTwo(uWeighing)),
  };
}

/**
 * What is told of a plan, in the units of the calibration.
 *
 * @example planTexts(planTest({ method: 'weigh-back', outputKgPerM: 0.0446, widthM: 2.7, scaleStepKg: 0.0227, tolerance: 0.05, speedMPerS: 1.3, hopperKg: null, lengthUnit: 'ft' }), calibration, 0.05)[0] // { id: 'plan.strip', facts: { length: '60 ft', amount: '1.8 lb' } }
 */
export function planTexts(plan: TestPlan, { units, target }: CalibrationInput, tolerance: number): Message[] {
  const mass = (kg: number) => {
    const { number, unit } = showQuantity(kg, units.mass, 2);
    return `${number} ${unit}`;
  };
  const length = (m: number) => {
    const { number, unit } = showQuantity(m, units.length, 3);
    return `${number.replace(/\.0+$/, '')} ${unit}`;
  };
  const areaUnit = target.unit.includes('ft2') ? 'ft2' : 'm2';
  const { strip, catchS, areaM2, netKg, loadKg, overHopper, uExpected } = plan;
  const how = strip
    ? message('plan.strip', { strips: strip.strips, length: length(strip.lengthM), amount: mass(netKg) })
    : catchS
      ? message('plan.catch', { seconds: catchS, amount: mass(netKg) })
      : message('plan.ground', {
          area: `${showQuantity(areaM2 ?? 0, areaUnit, 2).number} ${UNITS[areaUnit].symbol}`,
        });
  const load = message(overHopper ? 'plan.overHopper' : 'plan.load', { amount: mass(loadKg) });
  const percent = `${showQuantity(uExpected * 100, 'kg', 2).number} %`;
  const good = uExpected <= tolerance ? 'tight' : uExpected <= 2 * tolerance ? 'usable' : 'coarse';
  return [how, load, message('plan.good', { percent, good })];
}

/**
 * The plan for a calibration, or what is still missing for one.
 *
 * @param rig the machine
 * @example planFor('weigh-back', calibration, bench, reading)[0].id // 'plan.strip'
 */
export function planFor(
  method: MethodId,
  input: CalibrationInput,
  { hopperKg }: BenchRig,
  { targetSi, widthM, scaleStepKg, tolerance, paceMPerS, dimension }: CalibrationResult,
): Message[] {
  const isOnLength = isPerLength(dimension);
  const needsWidth = !isOnLength || methodOf(method).planned === 'ground';
  if (targetSi === null || (needsWidth && widthM === null)) return [message('plan.needsRate')];
  if (scaleStepKg === null) return [message('plan.needsStep')];
  const plan = planTest({
    method,
    outputKgPerM: isOnLength ? targetSi : targetSi * (widthM ?? 1),
    widthM: widthM ?? 1,
    scaleStepKg,
    tolerance,
    speedMPerS: paceMPerS ?? USUAL_PACE,
    hopperKg,
    lengthUnit: input.units.length,
  });
  return planTexts(plan, input, tolerance);
}
