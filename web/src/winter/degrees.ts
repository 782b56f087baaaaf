import { fromSi, UNITS } from '@steady-scatter/core/quantities';

type Degrees = 'degF' | 'degC';

const shown = (value: number, places: number, unit: Degrees): string =>
  `${value.toFixed(places).replace('-', '−')}\u00a0${UNITS[unit].symbol}`;

/** A temperature that was worked out, as a thermometer outdoors is read. */
export const degrees = (degC: number, unit: Degrees): string =>
  shown(fromSi(degC, unit), unit === 'degF' ? 0 : 1, unit);

/** A temperature that somebody read or typed: its tenths where it has some. */
export function degreesRead(degC: number, unit: Degrees): string {
  const value = fromSi(degC, unit);
  return shown(value, Math.abs(value - Math.round(value)) < 0.05 ? 0 : 1, unit);
}
