import { message, type Message } from '../messages/message.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { showExact, showQuantity, textWithUnit, type DisplayValue } from '../quantities/show.ts';
import { UNITS } from '../quantities/units.ts';
import { bracket, operator, term, word, type Working } from '../working/working.ts';
import type { CalibrationResult } from './calibration.ts';
import { areaUnitFor, volumeUnitFor } from '../fields/size.ts';
import { isRowPerArea, type WidthInput } from '../machines/width.ts';
import type { BenchRig } from './benchRig.ts';
import type { CalibrationInput, RunInput } from './calibrationInput.ts';
import { MAX_PACE_APART } from './pace.ts';
import { methodOf } from './methodTable.ts';
import type { LineTerms, Parts } from './methods/method.ts';
import { caughtParts } from './methods/sprayCatch.ts';
import { bandOfRun, rateAtWork, unitsOf, type RunResult } from './readRun.ts';
import { dimensionOf, isPerLength, isSprayed, type BenchRateUnit } from './rate.ts';
import { showRate, showSpeed, speedText } from './showBench.ts';

const withUnit = (input: string, symbol: string): string =>
  isBareNumber(input) ? `${input.trim()} ${symbol}` : input.trim();

/**
 * The rate of a run with the band of its readings, as it was made; null while it is not complete.
 *
 * @example showRun(reading.runs[0], 'lb/1000 ft2').band // '0.05'
 */
export const showRun = ({ worked, ...run }: RunResult, unit: BenchRateUnit): DisplayValue | null =>
  worked && showRate(worked.rateSi, bandOfRun({ ...run, worked, pace: null }), unit);

/**
 * The same at the pace of work.
 *
 * @example showAtWork(reading.runs[0], 'lb/1000 ft2').number // '1.17'
 */
export const showAtWork = (run: RunResult, unit: BenchRateUnit): DisplayValue | null => {
  const rate = rateAtWork(run);
  return rate && showRate(rate.rateSi, bandOfRun(run), unit);
};

const widthText = ({ text, unit }: WidthInput): string => withUnit(text, UNITS[unit].symbol);

/** Terms of a run's line: what was typed, with the unit that a bare number counts in. */
function termsOf(run: RunInput, calibration: CalibrationInput) {
  const { width } = calibration;
  const units = unitsOf(run, calibration);
  const typedAs = (id: string, symbol: string, of: Message | null = null) => {
    const input = run.readings[id]?.trim() ?? '';
    return term(id, input === '' ? null : { number: withUnit(input, symbol).trim(), unit: '' }, { of, origin: 'test' }); // prettier-ignore
  };
  const across = (role: string, of: WidthInput) =>
    term(role, of.text.trim() === '' ? null : { number: widthText(of), unit: '' }, { origin: of.by === 'measured' ? 'measured' : 'typed' }); // prettier-ignore
  return {
    isTyped: (id: string) => (run.readings[id]?.trim() ?? '') !== '',
    mass: (id: string) => typedAs(id, UNITS[units.mass].symbol),
    volume: (id: string) => typedAs(id, UNITS[volumeUnitFor(units.length)].symbol),
    length: (id: string) => typedAs(id, UNITS[units.length].symbol),
    seconds: (id: string) => typedAs(id, 's'),
    times: (id: string) => typedAs(id, '', message('working.times')),
    area: (id: string) => typedAs(id, UNITS[areaUnitFor(units.length)].symbol),
    across: across('width', width),
    ownAcross: across('run.width', run.width ?? width),
  };
}

/** What the line of a run is put together from. */
function lineTermsOf(run: RunInput, calibration: CalibrationInput, { outlets, rows }: BenchRig): LineTerms {
  const {
    isTyped,
    mass,
    volume,
    length,
    seconds,
    times: count,
    area,
    across,
    ownAcross,
  } = termsOf(run, calibration);
  const [open, close, by, over, less] = [
    bracket('('),
    bracket(')'),
    operator('×'),
    operator('÷'),
    operator('−'),
  ];
  const times = (role: 'rows' | 'outlets', number: number): Parts => (number > 1 ? [by, term(role, { number: String(number), unit: '' }, { of: message(role === 'rows' ? 'working.rows' : 'working.outlets') })] : []); // prettier-ignore
  const net = (full: string, empty: string): Parts => [open, mass(full), ...(isTyped(empty) ? [less, mass(empty)] : []), close]; // prettier-ignore
  // A row machine's own length of row on an area is one over a width.
  const isRowLength = isRowPerArea(calibration.width.text);
  const timed = ['courseTime', 'courseTime.2', 'courseTime.3'].filter(
    (id, index) => index === 0 || isTyped(id),
  );
  const spreadAt = run.width && run.width.text.trim() !== '' && widthText(run.width) !== widthText(calibration.width); // prettier-ignore
  const isOnLength = isPerLength(dimensionOf(calibration.target.unit));
  const ground = (along: string, more: Parts): Parts =>
    isOnLength || isRowLength
      ? [over, ...(more.length > 0 ? [open, length(along), ...more, close] : [length(along)]), ...(isOnLength ? [] : [by, across])] // prettier-ignore
      : [over, open, length(along), by, across, ...more, close];
  return {
    open,
    close,
    over,
    less,
    isTyped,
    mass,
    volume,
    length,
    seconds,
    area,
    net,
    caughtVolumes: () => caughtParts(outlets, { open, close, over, isTyped, volume, seconds }),
    nets() {
      const caught = Array.from({ length: outlets }, (_, index) => index + 1).filter((at) => at === 1 || isTyped(`gross.${at}`)); // prettier-ignore
      if (outlets === 1) return net('gross', 'tare');
      const all = caught.flatMap((at) => [
        ...(at > 1 ? [operator('+')] : []),
        ...net(`gross.${at}`, `tare.${at}`),
      ]);
      return caught.length > 1 ? [open, ...all, close] : all;
    },
    ground: (along) => ground(along, [...(isTyped('passes') ? [by, count('passes')] : []), ...times('rows', rows)]), // prettier-ignore
    ofOneRow: (along) => ground(along, []),
    times,
    timesOver: () => (isTyped('passes') ? [over, count('passes')] : []),
    courseTime: () =>
      timed.length === 1
        ? [by, seconds('courseTime')]
        : [by, open, ...timed.flatMap((id, index) => [...(index > 0 ? [operator('+')] : []), seconds(id)]), close, over, term('timings', { number: String(timed.length), unit: '' })], // prettier-ignore
    otherSpacing() {
      if (isOnLength) return [isRowPerArea((run.width ?? calibration.width).text) ? over : by, ownAcross];
      return spreadAt ? [by, ownAcross, isRowLength ? by : over, across] : [];
    },
    outletsPerRow: outlets / rows,
    isLeft: isTyped('tare') && Number.parseFloat(run.readings['left'] ?? '') > 0,
  };
}

/**
 * A run as a line of arithmetic, from what was typed to its rate.
 *
 * @example runLine(calibration.runs[0], reading.runs[0], calibration, bench).label // { id: 'working.runAt', facts: { setting: '8' } }
 */
export function runLine(
  run: RunInput,
  reading: RunResult,
  calibration: CalibrationInput,
  rig: BenchRig,
): Working {
  const parts = run.noFlow
    ? [word(message('working.nothingCameOut'), 'stop')]
    : [...methodOf(run.method).line(lineTermsOf(run, calibration, rig)), operator('=')];
  const rate = term('rate', showRun(reading, calibration.target.unit), { strong: true });
  return {
    id: `run.${run.id}`,
    label:
      run.setting.trim() === '' ? message('working.run') : message('working.runAt', { setting: run.setting }),
    parts: [...parts, rate],
  };
}

/**
 * What brings a run to the pace of work and to what will be sprayed, as a line; null where it needs none.
 *
 * @param workMPerS pace of work, m/s
 * @example paceLine(calibration.runs[0], reading.runs[0], calibration, reading.paceMPerS) // null
 */
export function paceLine(
  run: RunInput,
  reading: RunResult,
  calibration: CalibrationInput,
  workMPerS: number | null,
): Working | null {
  const { worked, pace, flowFactor } = reading;
  const isPaced = worked?.paceMPerS && pace && workMPerS !== null && Math.abs(pace.factor - 1) >= 0.005;
  if (!worked || (!isPaced && flowFactor === 1)) return null;
  const { length, seconds, isTyped } = termsOf(run, calibration);
  const along = isTyped('length') ? 'length' : 'course';
  const time = isTyped('length') ? 'time' : 'courseTime';
  const isTimedOnce = !isTyped('courseTime.2') && !isTyped('courseTime.3');
  const walked = isTimedOnce ? [bracket('('), length(along), operator('÷'), seconds(time), bracket(')')] : [term('walked', showSpeed(worked.paceMPerS ?? 0, unitsOf(run, calibration).length))]; // prettier-ignore
  const byPace = isPaced ? [operator('×'), ...walked, operator('÷'), term('work', showSpeed(workMPerS, calibration.units.length), { origin: 'measured' })] : []; // prettier-ignore
  const byDensity = flowFactor === 1 ? [] : [operator('×'), term('density', { number: showExact(flowFactor), unit: '' }, { of: message('working.denser', { density: textWithUnit(calibration.mixDensity.text, calibration.mixDensity.unit) }), origin: 'typed' })]; // prettier-ignore
  return {
    id: `run.${run.id}.pace`,
    label: message(byDensity.length > 0 ? 'working.asSprayed' : 'working.atPaceOfWork'),
    parts: [
      term('as-run', showQuantity(worked.rateSi, calibration.target.unit, 4)),
      ...byPace,
      ...byDensity,
      operator('='),
      term('rate', showAtWork(reading, calibration.target.unit), { strong: true }),
    ],
  };
}

/**
 * How a run came out against what was wanted, and what it says beside its rate; a line each.
 *
 * @param rig what it sprays with, to hold the pressure against
 * @example runRemarks(calibration.runs[0], reading.runs[0], reading, calibration).length // 1
 */
export function runRemarks(
  run: RunInput,
  reading: RunResult,
  { targetSi, widthM: forM, paceMPerS }: CalibrationResult,
  calibration: CalibrationInput,
  { spray }: Pick<BenchRig, 'spray'> = { spray: null },
): Message[] {
  const { worked, widthM, pace } = reading;
  if (!worked) return [];
  if (worked.rateSi === 0) return [message('remarks.noFlow')];
  const { outlets, outputPerM, paceMPerS: walked } = worked;
  const sprays = isSprayed(dimensionOf(calibration.target.unit));
  const perMetre = sprays ? '' : showQuantity(outputPerM, 'g', 3).number;
  const rate = rateAtWork(reading)!.rateSi;
  const against = targetSi === null ? null : rate / targetSi - 1;
  const { length, mass } = unitsOf(run, calibration);
  const isOther = walked && paceMPerS && pace && Math.abs(walked / paceMPerS - 1) > 0.02;
  const change = isOther ? 1 / pace.factor - 1 : 0;
  const atPace = isOther && pace.factor !== 1 ? 'yes' : 'no';
  return [
    ...(sprays
      ? against === null ? [] : [message('remarks.against', { off: offOf(against), atPace })]
      : [against === null
        ? message('remarks.out', { grams: perMetre })
        : message('remarks.outAgainst', { grams: perMetre, off: offOf(against), atPace })]),
    ...(isOther
      ? [
          message('remarks.pace', {
            walked: speedText(walked, length),
            work: speedText(paceMPerS, length),
            alike: pace.factor === 1 ? 'yes' : 'no',
            off: offOf(change),
            apart: pace.isApart ? 'yes' : 'no',
            most: showExact(MAX_PACE_APART * 100),
          }),
        ]
      : []),
    ...(isOutOfRange(worked.pressurePa, spray) ? [message('remarks.pressure', { side: worked.pressurePa! > (spray!.nozzle.highPa ?? Infinity) ? 'high' : 'low' })] : []),
    ...(outlets
      ? [
          message('remarks.outlets', {
            weights: outlets.netSi.map((kg) => showQuantity(kg, mass, 3).number),
            unit: UNITS[mass].symbol,
            percent: showExact(outlets.imbalance * 100, 2),
            wide: outlets.imbalance > 0.1 ? 'yes' : 'no',
          }),
        ]
      : []),
    ...(!isPerLength(dimensionOf(calibration.target.unit)) && run.width && widthM && forM && Math.abs(widthM / forM - 1) > 0.01
      ? [message('remarks.spacing', { run: widthText(run.width), now: widthText(calibration.width), times: showExact(widthM / forM, 3) })]
      : []),
  ]; // prettier-ignore
}

/** A pressure that the nozzle is not made for. */
const isOutOfRange = (pa: number | null, spray: BenchRig['spray']): boolean =>
  pa !== null && spray !== null && ((spray.nozzle.lowPa !== null && pa < spray.nozzle.lowPa) || (spray.nozzle.highPa !== null && pa > spray.nozzle.highPa)); // prettier-ignore

/** How far off in percent, and to which side. */
const offOf = (share: number): Message =>
  message('remarks.off', {
    side: Math.abs(share) < 0.0005 ? 'none' : share > 0 ? 'over' : 'under',
    percent: showExact(Math.abs(share) * 100, 2),
  });

/**
 * How far a run is from the rate that is wanted: "10 % heavy".
 *
 * @param targetSi null: not known
 * @returns null while one of them is missing
 * @example against(reading.runs[0], reading.targetSi).facts.percent // '65'
 */
export function against(run: RunResult, targetSi: number | null): Message | null {
  const rate = rateAtWork(run);
  if (!rate || targetSi === null) return null;
  if (rate.rateSi === 0) return message('remarks.against.noFlow');
  if (run.pace?.isApart) return message('remarks.against.otherPace');
  const off = rate.rateSi / targetSi - 1;
  if (Math.abs(off) < 0.005) return message('remarks.against.right');
  return message(off > 0 ? 'remarks.against.heavy' : 'remarks.against.light', { percent: showExact(Math.abs(off) * 100, 2) }); // prettier-ignore
}
