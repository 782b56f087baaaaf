import { finite } from '../errors/preconditions.ts';
import { toResult } from '../errors/InputError.ts';
import { fromSi, toSi } from './convert.ts';
import { isBareNumber } from './numbers.ts';
import { UNITS, type UnitId } from './units.ts';

/** Figures shown when nothing is known of the uncertainty. */
export const HONEST_FIGURES = 3;

/** A number and its unit, ready to be set side by side. */
export interface DisplayValue {
  readonly number: string;
  readonly unit: string;
  /** About 95 %, in the same unit; only where it is known. */
  readonly band?: string;
  /** Money, which is shown with the sign of the crew's currency. */
  readonly isMoney?: true;
}

const NOT_A_NUMBER = '—';
const NARROW_SPACE = '\u202f';

const group = (digits: string): string => digits.replace(/\B(?=(\d{3})+$)/g, NARROW_SPACE);

function fixed(value: number, decimals: number): string {
  const [whole = '0', rest] = Math.abs(value).toFixed(decimals).split('.');
  const sign = value < 0 && Number(value.toFixed(decimals)) !== 0 ? '−' : '';
  return `${sign}${group(whole)}${rest === undefined ? '' : `.${rest}`}`;
}

/** As many as a number can be written out with. */
const MAX_DECIMALS = 100;

const decadeOf = (value: number): number => Math.floor(Math.log10(Math.abs(value)));

/**
 * A number to so many significant figures, thousands set apart, never in exponent form from 1e-9 up.
 *
 * @param value finite
 * @param figures significant figures, 1 to 15
 * @example showNumber(3.33333, 3) // '3.33'
 */
export function showNumber(value: number, figures: number): string {
  // Showing never throws: what is no number is shown as missing.
  if (!Number.isFinite(value)) return NOT_A_NUMBER;
  if (value === 0) return '0';
  if (Math.abs(value) < 1e-9) return value.toExponential(figures - 1);
  const rounded = Number(value.toPrecision(figures));
  return fixed(rounded, Math.max(0, figures - 1 - decadeOf(rounded)));
}

/**
 * A number with up to so many significant figures and no trailing zeros: for values that are exact or as typed.
 *
 * @example showExact(0.80) // '0.8'
 */
export function showExact(value: number, figures = 7): string {
  const text = showNumber(value, figures);
  return text.includes('.') && !text.includes('e') ? text.replace(/\.?0+$/, '') : text;
}

/**
 * An SI value in a unit, to three significant figures or as many as said.
 *
 * @param si value in the SI unit of the unit's kind
 * @param unit the unit to show it in
 * @param figures significant figures
 * @example showQuantity(0.45359237, 'lb') // { number: '1.00', unit: 'lb' }
 */
export function showQuantity(si: number, unit: UnitId, figures = HONEST_FIGURES): DisplayValue {
  const value = toResult(() => fromSi(si, unit)).value;
  return { number: value === null ? NOT_A_NUMBER : showNumber(value, figures), unit: UNITS[unit].symbol };
}

/**
 * An SI value with its uncertainty, both to the place that the uncertainty supports (two figures of it when
 * it begins with 1, else one; JCGM 100:2008, 7.2.6 leaves this choice open).
 *
 * @param si value, SI
 * @param uncertaintySi about 95 % half-width in SI; 0 or not known: the value alone
 * @example showWithUncertainty(11.2, 0.31, 'kg') // { number: '11.2', band: '0.3', unit: 'kg' }
 */
export function showWithUncertainty(si: number, uncertaintySi: number, unit: UnitId): DisplayValue {
  if (!(uncertaintySi > Math.abs(si) * 1e-12) || !Number.isFinite(uncertaintySi) || !Number.isFinite(si))
    return showQuantity(si, unit);
  const band = uncertaintySi / UNITS[unit].toSi;
  const value = fromSi(si, unit);
  const leading = Number(band.toExponential(0)[0]);
  const figures = leading === 1 ? 2 : 1;
  const rounded = Number(band.toPrecision(figures));
  const places = figures - 1 - decadeOf(rounded);
  const decimals = Math.min(MAX_DECIMALS, Math.max(0, places));
  // The place of a band of tens or hundreds stands before the point.
  const whole = 10 ** Math.max(0, -places);
  return {
    number: fixed(whole === 1 ? value : Math.round(value / whole) * whole, decimals),
    band: fixed(rounded, decimals),
    unit: UNITS[unit].symbol,
  };
}

/** What a change of unit does to a typed value: the same quantity in other words, or the same number of the other unit. */
export type UnitChange = 'convert' | 'keep-number';

/**
 * The SI value after a change of unit.
 *
 * @example changedSi(0.45359237, 'lb', 'oz', 'keep-number') // 0.0283495... (1 lb becomes 1 oz)
 */
export const changedSi = (si: number, from: UnitId, to: UnitId, change: UnitChange): number =>
  change === 'convert' ? finite(si) : toSi(fromSi(si, from), to);

/**
 * The text to type for an SI value in a unit: seven figures, so that nothing above 1e-6 is lost.
 *
 * @example retype(0.45359237, 'oz') // '16 oz'
 */
export const retype = (si: number, unit: UnitId): string =>
  `${showExact(fromSi(si, unit))} ${UNITS[unit].symbol}`;

/**
 * A text as typed, with the unit that it counts in where it was typed without one.
 *
 * @example textWithUnit(' 48.00', 'lb') // '48.00 lb'
 * @example textWithUnit('2 kg', 'lb') // '2 kg'
 */
export const textWithUnit = (text: string, unit: UnitId): string =>
  isBareNumber(text) ? `${text.trim()} ${UNITS[unit].symbol}` : text.trim();
