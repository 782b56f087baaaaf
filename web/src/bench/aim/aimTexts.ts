import { rigKind, scaleLine, type RigInput, type ScaleInput } from '@steady-scatter/core/machines';
import { textWithUnit, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import type { AcceptedInput } from '@steady-scatter/core/width';
import { dayText } from '../../ui/dayText.ts';
import type { CalibrationContext } from '../calibrationContext.ts';

/** The marks of a control in a line; that there are none yet is said. */
export const scaleText = (scale: ScaleInput): string =>
  scaleLine({ ...scale, firstFlow: '' }) || 'no marks yet';

type Lengths = { readonly text: string; readonly unit: UnitId };
const isSame = (a: Lengths, b: Lengths): boolean =>
  textWithUnit(a.text, a.unit) === textWithUnit(b.text, b.unit);

/** How wide a pass counts, and where that was taken from. */
export function widthText(
  { width }: CalibrationInput,
  rig: RigInput | null,
  accepted: AcceptedInput | null,
): string {
  const spread = rig ? rigKind(rig.kind).width : 'pass spacing';
  if (width.text.trim() === '')
    return spread === 'row spacing' ? 'Row spacing is not set' : 'Pass spacing is not set';
  const length = textWithUnit(width.text, width.unit);
  const from =
    accepted && isSame(width, accepted)
      ? `, from the tray test of ${dayText(accepted.onDay)}`
      : rig && isSame(width, rig.width)
        ? ', as this machine usually goes'
        : '';
  if (spread === 'hopper') return `The hopper is ${length} wide${from}`;
  return spread === 'row spacing' ? `Rows ${length} apart${from}` : `Passes ${length} apart${from}`;
}

/** The pace of work, and where it was taken from. */
export function paceSaid({ pace }: CalibrationInput, rig: RigInput | null): string {
  if (pace.course.trim() === '' || pace.time.trim() === '') return 'Pace: as the test runs are walked';
  const isUsual = rig?.pace.time === pace.time && rig.pace.course === pace.course;
  return `Pace ${textWithUnit(pace.course, pace.unit)} in ${textWithUnit(pace.time, 's')}${isUsual ? ', this machine’s usual' : ''}`;
}

export const scaleStepText = ({ scaleStep, units }: CalibrationInput, last: string | null): string =>
  scaleStep.trim() === ''
    ? 'Scale reads to the last digit of each weighing'
    : `Scale reads to ${textWithUnit(scaleStep, units.mass)}${scaleStep === last ? ', as last time' : ''}`;

export const toleranceText = ({ tolerance, isCeiling }: CalibrationInput): string =>
  `Good enough is within ${tolerance.trim() || '5'} %; the target is ${isCeiling ? 'a limit' : 'a goal'}`;

const BEGINS = {
  low: 'low, since too much does more harm than too little',
  middle: 'in the middle of the scale',
  label: 'at the label’s setting',
  shape: 'where another product’s chart points',
} as const;

/** Where the first test run begins. */
export function firstText({ start }: CalibrationInput, { reading }: CalibrationContext): string {
  const from = reading.advice?.start.from;
  if (from) return `First setting: ${BEGINS[from]}`;
  return `First setting: ${start === 'auto' ? 'by what is known' : BEGINS[start]}`;
}

export const productText = ({ lot, grain }: CalibrationInput): string =>
  [lot.trim() && `Lot ${lot.trim()}`, grain.trim() && `grain size ${grain.trim()}`]
    .filter(Boolean)
    .join(', ') || 'Lot and grain size are not noted';

export const unitsText = ({ units, target }: CalibrationInput): string =>
  `Numbers without a unit are ${UNITS[units.mass].symbol} and ${UNITS[units.length].symbol}; rates in ${UNITS[target.unit].symbol}`;
