import { finite, requirePositive } from '../errors/preconditions.ts';
import { flowAt, pressureFor, type RatedFlow } from './flow.ts';

/** A nozzle that could be fitted: its rated flow, and the pressures that it is made for. */
export interface NozzleChoice extends RatedFlow {
  readonly id: string;
  readonly name: string;
  /** Pa; null: not stated. */
  readonly lowPa: number | null;
  readonly highPa: number | null;
}

/** How a rig sprays now. */
export interface Spraying {
  /** Finished mix on the ground, L/m2. */
  readonly rateLPerM2: number;
  readonly speedMPerS: number;
  /** What all nozzles together cover, m. */
  readonly widthM: number;
  /** Nozzles that spray at once. */
  readonly nozzles: number;
  /** Pressure that it was measured at, Pa; null: no gauge. */
  readonly pressurePa: number | null;
  /** Pressures of the nozzle that is fitted, Pa; null: not stated. */
  readonly lowPa: number | null;
  readonly highPa: number | null;
  /** Comfortable speeds, m/s. */
  readonly speeds: readonly [slow: number, fast: number];
  /** How much of what is sprayed flows where water does: nozzles are rated with water. */
  readonly densityFactor: number;
}

/** What brings a rig to a rate, and whether it can be done. */
export type RateWay =
  | { readonly by: 'speed'; readonly speedMPerS: number; readonly isFeasible: boolean; readonly isFaster: boolean }
  | { readonly by: 'nozzle'; readonly nozzle: NozzleChoice; readonly pressurePa: number; readonly isFeasible: boolean }
  | {
      readonly by: 'pressure';
      readonly pressurePa: number;
      readonly isFeasible: boolean;
      /** More pressure makes finer drops, which drift. */
      readonly isHigher: boolean;
    }; // prettier-ignore

const within = (value: number, low: number | null, high: number | null): boolean =>
  value >= (low ?? 0) && value <= (high ?? Infinity);

/** Of the nozzles of the table those that would do, the one nearest to the working pressure first; else the one that misses least. */
function nozzleWay(now: Spraying, wantedLPerM2: number, table: readonly NozzleChoice[]): RateWay[] {
  const { speedMPerS, widthM, nozzles, pressurePa, densityFactor } = now;
  const flowLPerS = (wantedLPerM2 * speedMPerS * widthM) / nozzles / densityFactor;
  const all = table.map((nozzle) => {
    const pressure = pressureFor(nozzle, flowLPerS);
    const aim = pressurePa ?? nozzle.pressurePa;
    return {
      nozzle,
      pressurePa: pressure,
      isFeasible: within(pressure, nozzle.lowPa, nozzle.highPa),
      away: Math.abs(Math.log(pressure / aim)),
    };
  });
  const [best] = all.toSorted((a, b) => Number(b.isFeasible) - Number(a.isFeasible) || a.away - b.away);
  if (!best) return [];
  const { away: _, ...way } = best;
  return [{ by: 'nozzle', ...way }];
}

/**
 * What would bring a rig to a rate: `speed x rate / wanted`, another nozzle at the pressure that gives the flow, `pressure x (wanted /
 * rate)^2`. In that order of preference; what can be done before what cannot.
 *
 * @param wantedLPerM2 finished mix on the ground, above 0
 * @param table the crew's own nozzles, those that are fitted left out
 * @throws InputError number.unusable
 * @example rateWays({ rateLPerM2: 0.03, speedMPerS: 2, widthM: 5, nozzles: 10, pressurePa: null, lowPa: null, highPa: null, speeds: [1.5, 3], densityFactor: 1 }, 0.04)[0].speedMPerS // 1.5
 */
export function rateWays(
  now: Spraying,
  wantedLPerM2: number,
  table: readonly NozzleChoice[] = [],
): RateWay[] {
  const { rateLPerM2, speedMPerS, widthM, nozzles, pressurePa, lowPa, highPa, speeds } = now;
  requirePositive({ rate: rateLPerM2, wanted: wantedLPerM2, speed: speedMPerS, width: widthM, nozzles });
  const speed = finite((speedMPerS * rateLPerM2) / wantedLPerM2);
  const ways: RateWay[] = [
    { by: 'speed', speedMPerS: speed, isFeasible: speed >= speeds[0] && speed <= speeds[1], isFaster: speed > speedMPerS },
    ...nozzleWay(now, wantedLPerM2, table),
  ]; // prettier-ignore
  if (pressurePa !== null) {
    const wanted = pressureFor({ flowLPerS: rateLPerM2, pressurePa }, wantedLPerM2);
    ways.push({ by: 'pressure', pressurePa: wanted, isFeasible: within(wanted, lowPa, highPa), isHigher: wanted > pressurePa }); // prettier-ignore
  }
  return ways.toSorted((a, b) => Number(b.isFeasible) - Number(a.isFeasible));
}

/**
 * Finished mix on the ground: `nozzles x flow / (speed x width)`.
 *
 * @returns L/m2
 * @throws InputError number.unusable
 * @example sprayRate({ flowLPerS: 0.0648333, speedMPerS: 60 / 36, widthM: 2 }) // 0.01945: 194.5 L/ha
 */
export function sprayRate(of: {
  readonly flowLPerS: number;
  readonly speedMPerS: number;
  readonly widthM: number;
}): number {
  requirePositive(of);
  return finite(of.flowLPerS / (of.speedMPerS * of.widthM));
}

/**
 * The flow that a nozzle is rated for at the pressure of work; null where one of them is not known.
 *
 * @param pressurePa above 0
 * @example ratedAt({ flowLPerS: 0.02, pressurePa: 2e5 }, null) // null
 */
export const ratedAt = (rated: RatedFlow | null, pressurePa: number | null): number | null =>
  rated && pressurePa !== null ? flowAt(rated, pressurePa) : null;
