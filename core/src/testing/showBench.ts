import { message, type Message } from '../messages/message.ts';
import { showExact, showQuantity, showWithUncertainty, type DisplayValue } from '../quantities/show.ts';
import type { BenchRateUnit } from './rate.ts';
import { UNITS, type UnitId } from '../quantities/units.ts';

/**
 * A rate with its band.
 *
 * @param uRelative about 95 %, share of it; 0: not known
 * @example showRate(0.0326, 0.046, 'lb/1000 ft2') // { number: '6.7', band: '0.3', unit: 'lb / 1000 ft²' }
 */
export const showRate = (kgPerM2: number, uRelative: number, unit: BenchRateUnit): DisplayValue =>
  uRelative > 0 && uRelative < 1 && kgPerM2 > 0
    ? showWithUncertainty(kgPerM2, uRelative * kgPerM2, unit)
    : showQuantity(kgPerM2, unit);

/**
 * A pace as people time it: a course of a round length and the time for it.
 *
 * @example paceText(1.38, 'm').facts.time // '29 s'
 */
export function paceText(mPerS: number | null, unit: UnitId): Message | '' {
  if (mPerS === null || !(mPerS > 0) || !Number.isFinite(mPerS)) return '';
  const isMetric = unit === 'm' || unit === 'cm' || unit === 'km' || unit === 'mm';
  const courseM = isMetric ? 40 : 100 * UNITS.ft.toSi;
  const course = isMetric ? '40 m' : '100 ft';
  const seconds = courseM / mPerS;
  if (!Number.isFinite(seconds)) return '';
  return message('card.pace', {
    course,
    time: `${showExact(Number(seconds.toFixed(seconds < 10 ? 1 : 0)))} s`,
  });
}

/**
 * A speed in both of the units that people compare.
 *
 * @example speedText(1.38, 'ft') // '3.1 mph'
 */
export function speedText(mPerS: number, unit: UnitId): string {
  const { number, unit: symbol } = showQuantity(mPerS, speedUnit(unit), speedUnit(unit) === 'm/s' ? 3 : 2);
  return `${number} ${symbol}`;
}

const speedUnit = (unit: UnitId): 'm/s' | 'mph' => (unit === 'm' || unit === 'cm' ? 'm/s' : 'mph');

/** A speed as a term of a line. */
export const showSpeed = (mPerS: number, unit: UnitId): DisplayValue =>
  showQuantity(mPerS, speedUnit(unit), 4);
