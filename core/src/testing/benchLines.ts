import { isBareNumber } from '../quantities/numbers.ts';
import { showExact, showQuantity, type Shown } from '../quantities/show.ts';
import { UNITS, type MassPerAreaUnit } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import type { CalibrationReading } from './calibration.ts';
import type { CalibrationTyped, RunTyped } from './calibrationTyped.ts';
import { rateChangeAtPace } from './pace.ts';
import type { RunReading } from './readRun.ts';
import { showRate, speedText } from './showBench.ts';
import { COVERAGE } from './uncertainty.ts';

const withUnit = (typed: string, symbol: string): string =>
  isBareNumber(typed) ? `${typed.trim()} ${symbol}` : typed.trim();

/** The rate of a run with the band of its readings; null while it is not complete. */
export const showRun = ({ worked }: RunReading, unit: MassPerAreaUnit): Shown | null =>
  worked && showRate(worked.rateKgPerM2, COVERAGE * worked.uReadings, unit);

/** Terms of a run's line: what was typed, with the unit that a bare number counts in. */
function termsOf(run: RunTyped, { units, width }: CalibrationTyped) {
  const typedAs = (id: string, symbol: string) => {
    const typed = run.readings[id]?.trim() ?? '';
    return term(id, typed === '' ? null : { number: withUnit(typed, symbol), unit: '' }, { origin: 'test' });
  };
  const origin = width.by === 'measured' ? 'measured' : 'typed';
  const across = width.text.trim() === '' ? null : { number: withUnit(width.text, UNITS[width.unit].symbol), unit: '' }; // prettier-ignore
  return {
    mass: (id: string) => typedAs(id, UNITS[units.mass].symbol),
    length: (id: string) => typedAs(id, UNITS[units.length].symbol),
    seconds: (id: string) => typedAs(id, 's'),
    times: (id: string) => typedAs(id, 'times'),
    plain: (id: string) => typedAs(id, ''),
    across: term('width', across, { origin }),
  };
}

type Parts = Working['parts'][number][];

/** What went out, over the length it was spread along and the width: in the terms of each method. */
function partsOf(run: RunTyped, calibration: CalibrationTyped, outlets: number): Parts {
  const { mass, length, seconds, times, plain, across } = termsOf(run, calibration);
  const passes = run.readings['passes']?.trim() ? [operator('×'), times('passes')] : [];
  const net = (full: string, empty: string): Parts => [word('('), mass(full), operator('−'), mass(empty), word(')')]; // prettier-ignore
  const nets = (): Parts =>
    outlets === 1
      ? net('gross', 'tare')
      : Array.from({ length: outlets }, (_, at) => [...(at > 0 ? [operator('+')] : []), ...net(`gross.${at + 1}`, `tare.${at + 1}`)]).flat(); // prettier-ignore
  const over = (first: string): Parts => [operator('÷'), word('('), length(first), operator('×'), across, ...passes, word(')')]; // prettier-ignore
  const isTimedOften = ['courseTime.2', 'courseTime.3'].some((id) => run.readings[id]?.trim());
  const walked = isTimedOften ? [word('mean time from'), seconds('courseTime')] : [seconds('courseTime')];
  const parts = {
    'weigh-back': () => [...net('in', 'left'), ...over('length')],
    catch: () => [...net('gross', 'tare'), ...over('length')],
    tray: () => [...net('gross', 'tare'), ...over('length')],
    'timed-catch': () => [...nets(), operator('÷'), seconds('catchTime'), operator('×'), ...walked, ...over('course')], // prettier-ignore
    'run-out': () => [...net('load', 'left'), operator('÷'), plain('area')],
    'fill-time': () => [mass('content'), operator('÷'), seconds('fillTime'), operator('×'), ...walked, ...over('course')], // prettier-ignore
    outlets: () => [...nets(), ...over('length')],
  } satisfies Record<RunTyped['method'], () => Parts>;
  return parts[run.method]();
}

/** A run as a line of arithmetic, from what was typed to its rate. */
export function runLine(run: RunTyped, reading: RunReading, calibration: CalibrationTyped): Working {
  const rate = showRun(reading, calibration.target.unit);
  const outlets = reading.worked?.outlets?.netKg.length ?? outletsTyped(run);
  return {
    id: `run.${run.id}`,
    label: `Run at ${run.setting || 'no setting'}`,
    parts: [...partsOf(run, calibration, outlets), operator('='), term('rate', rate, { strong: true })],
  };
}

/** How many outlets were weighed, from the readings themselves. */
function outletsTyped({ readings }: RunTyped): number {
  const numbers = Object.keys(readings).map((id) => Number(/^(?:gross|tare)\.(\d+)$/.exec(id)?.[1] ?? 1));
  return Math.max(1, ...numbers);
}

/** How a run came out against what was wanted, and what it says beside its rate; a line each. */
export function runRemarks(
  run: RunTyped,
  { worked, widthM }: RunReading,
  { targetKgPerM2, widthM: forM, paceMPerS }: CalibrationReading,
  calibration: CalibrationTyped,
  metering: 'flow' | 'wheels',
): string[] {
  if (!worked) return [];
  const { outlets, outputKgPerM, paceMPerS: walked } = worked;
  const perMetre = showQuantity(outputKgPerM, 'g', 3).number;
  const against = targetKgPerM2 === null ? null : worked.rateKgPerM2 / targetKgPerM2 - 1;
  const change = walked && paceMPerS ? rateChangeAtPace(paceMPerS, walked, metering) : 0;
  const { length } = calibration.units;
  return [
    `${perMetre} g out on each metre travelled${against === null ? '' : `, ${percentOff(against)} what is wanted`}.`,
    ...(walked && paceMPerS && Math.abs(walked / paceMPerS - 1) > 0.02
      ? [`It was walked at ${speedText(walked, length)}, and ${speedText(paceMPerS, length)} is meant${change === 0 ? '' : `: that alone makes it ${percentOff(change)}`}.`]
      : []),
    ...(outlets
      ? [`Outlets gave ${outlets.netKg.map((kg) => showQuantity(kg, calibration.units.mass, 3).number).join(', ')} ${UNITS[calibration.units.mass].symbol}: ${showExact(outlets.imbalance * 100, 2)} % apart.${outlets.imbalance > 0.1 ? ' Look for a blocked or worn one.' : ''}`]
      : []),
    ...(run.width && widthM && forM && Math.abs(widthM / forM - 1) > 0.01
      ? [`It was run for passes ${withUnit(run.width.text, UNITS[run.width.unit].symbol)} apart: here it is worked out for ${withUnit(calibration.width.text, UNITS[calibration.width.unit].symbol)}, ${showExact(widthM / forM, 3)} times the rate.`]
      : []),
  ]; // prettier-ignore
}

const percentOff = (share: number): string =>
  Math.abs(share) < 0.0005 ? 'just' : `${showExact(Math.abs(share) * 100, 2)} % ${share > 0 ? 'over' : 'under'}`; // prettier-ignore

/**
 * How far a run is from the rate that is wanted, in a word: "10 % heavy".
 *
 * @param targetKgPerM2 null: not known
 * @returns nothing while one of them is missing
 */
export function againstText({ worked }: RunReading, targetKgPerM2: number | null): string {
  if (!worked || targetKgPerM2 === null) return '';
  const off = worked.rateKgPerM2 / targetKgPerM2 - 1;
  if (Math.abs(off) < 0.005) return 'right on';
  return `${showExact(Math.abs(off) * 100, 2)} % ${off > 0 ? 'heavy' : 'light'}`;
}
