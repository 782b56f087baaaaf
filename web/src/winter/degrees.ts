import { fromSi, UNITS } from '@steady-scatter/core/quantities';

/** A temperature as a thermometer outdoors is read: whole degrees F, tenths of a degree C where they say something. */
export function degrees(degC: number, unit: 'degF' | 'degC'): string {
  const value = fromSi(degC, unit);
  const isWhole = unit === 'degF' || Math.abs(value - Math.round(value)) < 0.05;
  return `${value.toFixed(isWhole ? 0 : 1).replace('-', '−')}\u00a0${UNITS[unit].symbol}`;
}
