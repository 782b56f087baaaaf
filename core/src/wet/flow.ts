import { finite, requirePositive } from '../errors/preconditions.ts';

/** What a nozzle is rated for: its flow, and the pressure that this flow is stated at. */
export interface RatedFlow {
  readonly flowLPerS: number;
  readonly pressurePa: number;
}

/**
 * What a nozzle lets through at a pressure: flow goes with the square root of it (Bernoulli; orifice of constant discharge).
 *
 * @param pressurePa above 0
 * @returns L/s
 * @throws InputError number.unusable
 * @example flowAt({ flowLPerS: 0.02, pressurePa: 2e5 }, 8e5) // 0.04
 */
export function flowAt(rated: RatedFlow, pressurePa: number): number {
  requirePositive({ flow: rated.flowLPerS, ratedPressure: rated.pressurePa, pressure: pressurePa });
  return finite(rated.flowLPerS * Math.sqrt(pressurePa / rated.pressurePa));
}

/**
 * The pressure at which a nozzle lets so much through: the other way of flowAt.
 *
 * @param flowLPerS above 0
 * @returns Pa
 * @throws InputError number.unusable
 * @example pressureFor({ flowLPerS: 1, pressurePa: 2.8e5 }, 1.15) // 370300: 15 % more takes 2.8 to 3.703 bar
 */
export function pressureFor(rated: RatedFlow, flowLPerS: number): number {
  requirePositive({ flow: rated.flowLPerS, ratedPressure: rated.pressurePa, wanted: flowLPerS });
  return finite(rated.pressurePa * (flowLPerS / rated.flowLPerS) ** 2);
}

/**
 * How much of another liquid flows where water does: `1 / sqrt(relative density)`.
 *
 * @param kgPerL density of the liquid, above 0; that of the water it was calibrated with is taken as 1
 * @throws InputError number.unusable
 * @example densityFactor(1.28) // 0.88388: 12 % less
 */
export function densityFactor(kgPerL: number): number {
  requirePositive({ density: kgPerL });
  return finite(1 / Math.sqrt(kgPerL));
}
