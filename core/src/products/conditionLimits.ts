import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readCount } from '../fields/counts.ts';
import { text, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import type { System, UnitId } from '../quantities/units.ts';

/** How ground can be found. */
export const GROUND_STATES = ['dry', 'moist', 'soaked', 'frozen'] as const;
export type GroundState = (typeof GROUND_STATES)[number];

/** What something may not go out in, as typed: of a label, or of the crew. */
export const conditionLimits = z.object({
  /** At most so much wind. */
  wind: z.object({ text, unit: z.enum(['mph', 'km/h', 'm/s']) }),
  /** Hours that have to stay without rain. */
  rainFree: text,
  air: z.object({ low: text, high: text, unit: z.enum(['degF', 'degC']) }),
  /** Ground that it may not go on. */
  notOn: z.array(z.enum(GROUND_STATES)).max(GROUND_STATES.length),
});
export type ConditionLimits = InputOf<typeof conditionLimits>;

/** The same as read, SI; null: it says nothing of that. */
export interface LimitsResult {
  readonly windMPerS: number | null;
  readonly rainFreeH: number | null;
  readonly airLowC: number | null;
  readonly airHighC: number | null;
  readonly notOn: readonly GroundState[];
  readonly errors: readonly InputError[];
}

/** Nothing is put down in air beyond these, degC: what lies beyond is a slip of the unit. */
const AIR_C = { coldest: -60, warmest: 60 } as const;

/**
 * No limits at all.
 *
 * @example blankLimits('us').wind.unit // 'mph'
 */
export const blankLimits = (system: System): ConditionLimits => ({
  wind: { text: '', unit: system === 'us' ? 'mph' : 'km/h' },
  rainFree: '',
  air: { low: '', high: '', unit: system === 'us' ? 'degF' : 'degC' },
  notOn: [],
});

/**
 * A temperature of air or soil as typed.
 *
 * @param bareUnit of a bare number
 * @returns degC
 * @throws InputError as readQuantity, and temperature.slip for one that no place has
 * @example readOutdoors('77', 'degF', 'air') // 25
 */
export function readOutdoors(input: string, bareUnit: UnitId, field: string): number {
  const { si } = readQuantity(input, { kind: 'temperature', bareUnit, field });
  if (si < AIR_C.coldest || si > AIR_C.warmest)
    throw new InputError('temperature.slip', { field, input: input.trim(), hint: '62 °F' });
  return si;
}

/**
 * Reads what something may not go out in.
 *
 * @param path of the limits, for errors
 * @example evaluateLimits({ ...blankLimits('us'), rainFree: '24' }, 'limits').rainFreeH // 24
 */
export function evaluateLimits({ wind, rainFree, air, notOn }: ConditionLimits, path: string): LimitsResult {
  const { errors, readIfPresent } = collect();
  const degrees = (side: 'low' | 'high') => readIfPresent(air[side], () => readOutdoors(air[side], air.unit, `${path}.air.${side}`)); // prettier-ignore
  const [airLowC, airHighC] = [degrees('low'), degrees('high')];
  if (airLowC !== null && airHighC !== null && airLowC > airHighC)
    errors.push(new InputError('product.range', { field: `${path}.air.low`, hint: `${air.high} to ${air.low}` })); // prettier-ignore
  return {
    windMPerS: readIfPresent(wind.text, () => readPositive(wind.text, { kind: 'speed', bareUnit: wind.unit, field: `${path}.wind.text` }, message('errors.what.wind')).si), // prettier-ignore
    rainFreeH: readIfPresent(rainFree, () =>
      readCount(rainFree, { field: `${path}.rainFree`, hint: '24', most: 500 }),
    ),
    airLowC,
    airHighC,
    notOn,
    errors,
  };
}
