import { message, type Message } from '../messages/message.ts';
import { finite, requirePositive } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';
import { showQuantity } from '../quantities/show.ts';
import { systemOf, UNITS, type LengthUnit } from '../quantities/units.ts';
import { volumeUnitFor } from '../fields/size.ts';
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
  readonly netSi: number;
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
  readonly outputPerM: number;
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
 * @example planTest({ method: 'weigh-back', outputPerM: 0.0446, widthM: 2.7, scaleStepKg: 0.0227, tolerance: 0.05, speedMPerS: 1.3, hopperKg: null, lengthUnit: 'ft' }).strip // { lengthM: 18.288, strips: 1 }
 */
export function planTest(wanted: PlanWanted): TestPlan {
  const {
    outputPerM: output,
    widthM: width,
    scaleStepKg: step,
    tolerance: share,
    speedMPerS: speed,
  } = wanted;
  if (![output, width, step, share, speed].every((value) => value > 0 && Number.isFinite(value)))
    throw new InputError('quantity.not-positive', { field: 'plan', what: message('errors.what.planFigures'), hint: '9 ft' }); // prettier-ignore
  const { method, outputPerM, widthM, scaleStepKg, tolerance, speedMPerS, hopperKg, lengthUnit } = wanted;
  const least = leastNet(scaleStepKg, tolerance / 2);
  const { planned } = methodOf(method);
  const whole = handy(Math.max(least / outputPerM, SHORTEST_STRIP_M), lengthUnit);
  const strips = Math.ceil(whole / LONGEST_STRIP_M - 1e-9);
  const strip = planned === 'strip' ? { lengthM: handy(whole / strips, lengthUnit), strips } : null;
  const perSecond = outputPerM * speedMPerS;
  const catchS = planned === 'time' ? Math.ceil(Math.max(least / perSecond, SHORTEST_CATCH_S) / 5) * 5 : null;
  const rate = outputPerM / widthM;
  const areaM2 = planned === 'ground' ? Math.max(least / rate, 40) : null;
  const netSi = strip ? strip.lengthM * strip.strips * outputPerM : catchS ? catchS * perSecond : least;
  // Slips of many powers of ten would ask for strips without end.
  if (!(netSi < 1e6) || strips > 1e4)
    throw new InputError('number.unusable', { field: 'plan', input: String(netSi) });
  const loadKg = (2 * netSi) / (1 - RESERVE);
  const uWeighing = (Math.SQRT2 * resolutionU(scaleStepKg)) / netSi;
  return {
    netSi,
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
 * @example planTexts(planTest({ method: 'weigh-back', outputPerM: 0.0446, widthM: 2.7, scaleStepKg: 0.0227, tolerance: 0.05, speedMPerS: 1.3, hopperKg: null, lengthUnit: 'ft' }), calibration, 0.05)[0] // { id: 'plan.strip', facts: { length: '60 ft', amount: '1.8 lb' } }
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
  const { strip, catchS, areaM2, netSi, loadKg, overHopper, uExpected } = plan;
  const how = strip
    ? message('plan.strip', { strips: strip.strips, length: length(strip.lengthM), amount: mass(netSi) })
    : catchS
      ? message('plan.catch', { seconds: catchS, amount: mass(netSi) })
      : message('plan.ground', {
          area: `${showQuantity(areaM2 ?? 0, areaUnit, 2).number} ${UNITS[areaUnit].symbol}`,
        });
  const load = message(overHopper ? 'plan.overHopper' : 'plan.load', { amount: mass(loadKg) });
  const percent = `${showQuantity(uExpected * 100, 'kg', 2).number} %`;
  const good = uExpected <= tolerance ? 'tight' : uExpected <= 2 * tolerance ? 'usable' : 'coarse';
  return [how, load, message('plan.good', { percent, good })];
}

/** Round ground that a course is made for: crews state their rates by it. */
const ROUND_AREA = { us: { si: 1000 * UNITS.ft2.toSi, text: '1000 ft²' }, metric: { si: 100, text: '100 m²' } }; // prettier-ignore

/**
 * The course that covers exactly 1000 ft2 or 100 m2 at a width.
 *
 * @param widthM above 0
 * @returns m, and the ground in words
 * @example roundCourse(2.4, 'm') // { lengthM: 41.666667, area: '100 m²' }
 */
export function roundCourse(widthM: number, unit: LengthUnit): { readonly lengthM: number; readonly area: string } {
  requirePositive({ widthM });
  const { si, text } = ROUND_AREA[systemOf(unit)];
  return { lengthM: finite(si / widthM), area: text };
} // prettier-ignore

/** The plan of a test of what sprays: the course, and what a catch will come to. */
function sprayPlan(input: CalibrationInput, { outlets }: BenchRig, { targetSi, widthM, paceMPerS }: CalibrationResult): Message[] {
  if (widthM === null) return [message('plan.needsWidth')];
  const { length } = input.units;
  const { lengthM, area } = roundCourse(widthM, length);
  const course = showQuantity(lengthM, length, 4);
  const lines = [message('plan.course', { length: `${course.number} ${course.unit}`, area })];
  if (targetSi === null) return lines;
  const perSecond = targetSi * widthM * (paceMPerS ?? USUAL_PACE);
  const each = showQuantity((perSecond * SPRAY_CATCH_S) / outlets, volumeUnitFor(length), 2);
  return [...lines, message('plan.sprayCatch', { seconds: SPRAY_CATCH_S, amount: `${each.number} ${each.unit}`, nozzles: outlets })];
} // prettier-ignore

/** A catch that is long enough for a stopwatch and fits a jug, s. */
const SPRAY_CATCH_S = 30;

/**
 * The plan for a calibration, or what is still missing for one.
 *
 * @param rig the machine
 * @example planFor('weigh-back', calibration, bench, reading)[0].id // 'plan.strip'
 */
export function planFor(
  method: MethodId,
  input: CalibrationInput,
  rig: BenchRig,
  reading: CalibrationResult,
): Message[] {
  if (rig.spray) return sprayPlan(input, rig, reading);
  const { hopperKg } = rig;
  const { targetSi, widthM, scaleStepKg, tolerance, paceMPerS, dimension } = reading;
  const isOnLength = isPerLength(dimension);
  const needsWidth = !isOnLength || methodOf(method).planned === 'ground';
  if (targetSi === null || (needsWidth && widthM === null)) return [message('plan.needsRate')];
  if (scaleStepKg === null) return [message('plan.needsStep')];
  const plan = planTest({
    method,
    outputPerM: isOnLength ? targetSi : targetSi * (widthM ?? 1),
    widthM: widthM ?? 1,
    scaleStepKg,
    tolerance,
    speedMPerS: paceMPerS ?? USUAL_PACE,
    hopperKg,
    lengthUnit: input.units.length,
  });
  return planTexts(plan, input, tolerance);
}
