import { toResult } from '../errors/InputError.ts';
import { readCount } from '../fields/counts.ts';
import { message, type Message } from '../messages/message.ts';
import { readOutdoors, type LimitsResult } from '../products/conditionLimits.ts';
import { readPositive } from '../quantities/quantity.ts';
import { showQuantity } from '../quantities/show.ts';
import type { WeatherInput } from './applicationInput.ts';

/** Whose limit it is. */
export type LimitOf = 'label' | 'rules';

/** A condition that does not keep a limit, in words; `isUnknown`: the limit is there, what it asks for was not said. */
export interface ConditionBreach {
  readonly of: LimitOf;
  readonly id: 'wind' | 'rain' | 'cold' | 'hot' | 'ground';
  readonly isUnknown: boolean;
  readonly message: Message;
}

/** What was read of the weather, SI; null: not said, or not to be read. */
export interface ConditionsNow {
  readonly windMPerS: number | null;
  readonly rainInH: number | null;
  readonly airC: number | null;
  readonly ground: WeatherInput['ground'];
}

/**
 * The weather as it was typed: "5 mph, west" is its speed and where it comes from.
 *
 * @example conditionsNow({ ...blankApplication('us').weather, wind: '10 mph, west' }).windMPerS // 4.4704
 */
export function conditionsNow({ wind, rain, air, ground, unit }: WeatherInput): ConditionsNow {
  const speed = wind.split(',')[0]!.trim();
  const bareUnit = unit === 'degF' ? 'mph' : 'km/h';
  const read = <Value>(text: string, reader: () => Value) =>
    text.trim() === '' ? null : toResult(reader).value;
  return {
    windMPerS: /^(calm|0+)$/i.test(speed) ? 0 : read(speed, () => readPositive(speed, { kind: 'speed', bareUnit, field: 'wind' }, message('errors.what.wind')).si), // prettier-ignore
    rainInH: read(rain, () => readCount(rain, { field: 'rain', hint: '24', most: 1000 })),
    airC: read(air, () => readOutdoors(air, unit, 'air')),
    ground,
  };
}

const shown = (si: number, unit: 'mph' | 'km/h' | 'degF' | 'degC'): string =>
  Object.values(showQuantity(si, unit, 2)).join(' ');

/**
 * Holds the weather against limits: what is broken, and what a limit asks for that nobody said.
 *
 * @param unit of the weather: the figures are shown in the same system
 * @example againstLimits(evaluateLimits({ ...blankLimits('us'), rainFree: '24' }, 'limits'), 'label', blankApplication('us').weather)[0].isUnknown // true
 */
export function againstLimits(limits: LimitsResult, of: LimitOf, weather: WeatherInput): ConditionBreach[] {
  const { windMPerS, rainInH, airC, ground } = conditionsNow(weather);
  const speed = weather.unit === 'degF' ? 'mph' : 'km/h';
  const breach = (id: ConditionBreach['id'], isUnknown: boolean, facts: Record<string, string | number>): ConditionBreach => ({ of, id, isUnknown, message: message(`conditions.${id}`, { of, now: 'none', ...facts }) }); // prettier-ignore
  /** One limit: left out where there is none or it is kept. */
  const held = <Value>(
    id: ConditionBreach['id'],
    limit: Value | null,
    now: Value | null,
    isBroken: (limit: Value, now: Value) => boolean,
    say: (value: Value) => string | number,
  ): ConditionBreach[] => {
    // prettier-ignore
    if (limit === null) return [];
    if (now === null) return [breach(id, true, { limit: say(limit) })];
    return isBroken(limit, now) ? [breach(id, false, { limit: say(limit), now: String(say(now)) })] : [];
  };
  const degrees = (si: number) => shown(si, weather.unit);
  return [
    ...held('wind', limits.windMPerS, windMPerS, (most, now) => now > most * (1 + 1e-9), (si) => shown(si, speed)),
    ...held('rain', limits.rainFreeH, rainInH, (least, now) => now < least, (hours) => hours),
    ...held('cold', limits.airLowC, airC, (low, now) => now < low - 1e-9, degrees),
    ...held('hot', limits.airHighC, airC, (high, now) => now > high + 1e-9, degrees),
    ...(ground !== '' && limits.notOn.includes(ground) ? [breach('ground', false, { limit: ground, now: ground })] : []),
    ...(ground === '' && limits.notOn.length > 0 ? [breach('ground', true, { limit: limits.notOn.join(' ') })] : []),
  ]; // prettier-ignore
}
