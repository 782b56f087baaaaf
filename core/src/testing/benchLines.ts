import { isBareNumber } from '../quantities/numbers.ts';
import { showExact, showQuantity, showWithUncertainty, type Shown } from '../quantities/show.ts';
import { UNITS, type MassPerAreaUnit } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import type { CalibrationReading, RunReading } from './calibration.ts';
import type { CalibrationTyped, RunTyped } from './calibrationTyped.ts';
import { COVERAGE, leastNet } from './uncertainty.ts';

/**
 * A rate with its band.
 *
 * @param uRelative about 95 %, share of it; 0: not known
 * @example showRate(0.0326, 0.046, 'lb/1000 ft2') // { number: '6.7', band: '0.3', unit: 'lb / 1000 ft²' }
 */
export const showRate = (kgPerM2: number, uRelative: number, unit: MassPerAreaUnit): Shown =>
  uRelative > 0 && uRelative < 1 && kgPerM2 > 0
    ? showWithUncertainty(kgPerM2, uRelative * kgPerM2, unit)
    : showQuantity(kgPerM2, unit);

const withUnit = (typed: string, symbol: string): string =>
  isBareNumber(typed) ? `${typed.trim()} ${symbol}` : typed.trim();

/** The rate of a run with the band of its readings; null while it is not complete. */
export const showRun = ({ worked }: RunReading, unit: MassPerAreaUnit): Shown | null =>
  worked && showRate(worked.rateKgPerM2, COVERAGE * worked.uReadings, unit);

/** A run as a line of arithmetic, from what was typed to its rate. */
export function runLine(run: RunTyped, reading: RunReading, calibration: CalibrationTyped): Working {
  const { units, width, target } = calibration;
  const typedAs = (id: string, symbol: string) => {
    const typed = run.readings[id]?.trim() ?? '';
    return term(id, typed === '' ? null : { number: withUnit(typed, symbol), unit: '' }, { origin: 'test' });
  };
  const [mass, length] = [UNITS[units.mass].symbol, UNITS[units.length].symbol];
  const across = term('width', width.text.trim() === '' ? null : { number: withUnit(width.text, UNITS[width.unit].symbol), unit: '' }, { origin: width.by === 'measured' ? 'measured' : 'typed' }); // prettier-ignore
  const passes = run.readings['passes']?.trim() ? [operator('×'), typedAs('passes', 'times')] : [];
  const net = (full: string, empty: string) => [word('('), typedAs(full, mass), operator('−'), typedAs(empty, mass), word(')')]; // prettier-ignore
  const over = (first: string) => [operator('÷'), word('('), typedAs(first, length), operator('×'), across, ...passes, word(')')]; // prettier-ignore
  const parts = {
    'weigh-back': () => [...net('in', 'left'), ...over('length')],
    catch: () => [...net('gross', 'tare'), ...over('length')],
    'timed-catch': () => [...net('gross', 'tare'), operator('÷'), typedAs('catchTime', 's'), operator('×'), typedAs('courseTime', 's'), ...over('course')],
    'run-out': () => [...net('load', 'left'), operator('÷'), typedAs('area', '')],
  } satisfies Record<RunTyped['method'], () => Working['parts'][number][]>; // prettier-ignore
  const rate = showRun(reading, target.unit);
  return {
    id: `run.${run.id}`,
    label: `Run at ${run.setting || 'no setting'}`,
    parts: [...parts[run.method](), operator('='), term('rate', rate, { strong: true })],
  };
}

/** What to do now, and why: a mark and one or two sentences. */
export interface AdviceText {
  readonly act: string;
  readonly mark: string;
  readonly why: string;
}

const percent = (share: number): string => `${showExact(share * 100, 2)} %`;

/**
 * The advice in words.
 *
 * @returns null until the machine's scale and the rate are known
 */
export function adviceText(
  { advice, tolerance, targetKgPerM2, runs }: CalibrationReading,
  { target, isCeiling, start, signOff }: CalibrationTyped,
): AdviceText | null {
  if (!advice || targetKgPerM2 === null) return null;
  const { mark, because, expected, means } = advice;
  const rate = (kgPerM2: number) => {
    const { number, unit } = showQuantity(kgPerM2, target.unit);
    return `${number} ${unit}`;
  };
  const mean = means.find(({ setting }) => setting === mark.opening);
  const told = mean ? `${rate(mean.mean)} ±${percent(mean.uRelative)} from ${mean.runs === 1 ? 'one run' : `${mean.runs} runs`}` : ''; // prettier-ignore
  const off = mean ? mean.mean / targetKgPerM2 - 1 : 0;
  const side = off > 0 ? 'over' : 'under';
  const ceiling = isCeiling ? ' The rate is the most allowed, so the mark at or below it is taken.' : '';
  const uLast = runs.findLast(({ counts }) => counts)?.worked?.uReadings ?? 0;
  const WHY: Readonly<Record<typeof because, string>> = {
    start: `Nothing is tested yet: begin ${start === 'low' ? 'a third of the way up, so that the first run burns nothing' : 'in the middle of the scale'}, and weigh what it does.`,
    proportion: `One setting is tested. In proportion it would be this mark; gates are not proportional, so it is a guess.`,
    curve: `The curve through your tests puts ${expected === null ? 'the rate' : rate(expected)} here. Test it.${ceiling}`,
    beyond: 'The rate lies beyond what was tested. One mark farther, as a guess.',
    repeat: `Here it was ${told}. Run it again: one run says little of the next${uLast > tolerance / 2 ? ', and the readings alone are coarse' : ''}.`,
    usable: `${told}: within ${percent(tolerance)}. It can be used; another run would settle it.`,
    settled: `${told}: within ${percent(tolerance)}, and sure enough. ${signOff?.setting === mark.label ? 'Signed off.' : 'Sign it off.'}`,
    'no-mark-fits': `${told}: ${percent(Math.abs(off))} ${side}, and no other mark comes nearer. ${off > 0 ? 'Walk faster or pass wider' : 'Walk slower or pass closer'}, by about ${percent(Math.abs(off))}.${ceiling}`,
  };
  const act = because === 'settled' || because === 'usable' ? 'Keep at' : because === 'repeat' ? 'Again at' : 'Set to'; // prettier-ignore
  return { act, mark: mark.label, why: WHY[because] };
}

/**
 * What a coarse scale makes of a small catch, in one sentence; null where the readings are good enough.
 *
 * @param tolerance share of the rate
 */
export function coarseText(
  run: RunReading,
  stepKg: number | null,
  tolerance: number,
  calibration: CalibrationTyped,
): string | null {
  // prettier-ignore
  if (!run.worked || stepKg === null) return null;
  const band = COVERAGE * run.worked.uReadings;
  if (band <= tolerance) return null;
  const { rateKgPerM2, netKg } = run.worked;
  const { unit } = calibration.target;
  const [low, high] = [1 - band, 1 + band].map((share) => showQuantity(Math.max(0, rateKgPerM2 * share), unit, 2).number); // prettier-ignore
  const mass = (kg: number, figures: number) => {
    const { number, unit: symbol } = showQuantity(kg, calibration.units.mass, figures);
    return `${number} ${symbol}`;
  };
  return `The scale reads to ${mass(stepKg, 1)} and you weighed ${mass(netKg, 2)}: this run cannot tell ${low} from ${high}. Catch at least ${mass(leastNet(stepKg, tolerance), 2)}: a longer strip, or more passes on fresh ground.`;
}
