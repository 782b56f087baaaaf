import { rigKind, scaleLine, type RigInput, type ScaleInput } from '@steady-scatter/core/machines';
import { textWithUnit, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import type { CalibrationInput } from '@steady-scatter/core/testing';
import type { AcceptedInput } from '@steady-scatter/core/width';
import { say } from '@steady-scatter/words/bench';
import { dayText } from '../../ui/dayText.ts';
import type { CalibrationContext } from '../calibrationContext.ts';

/** The marks of a control in a line; that there are none yet is said. */
export const scaleText = (scale: ScaleInput): string =>
  scaleLine({ ...scale, firstFlow: '' }) || say('bench.sentence.noMarks');

/** What a machine is known by beside its name: its marks, or its nozzles. */
export function machineText({ kind, control, spray }: RigInput): string {
  const { puts, nozzles } = rigKind(kind);
  if (puts !== 'wet') return scaleText(control);
  if (nozzles !== 'row')
    return spray.tank.size.trim() === '' ? '' : textWithUnit(spray.tank.size, spray.tank.unit);
  return say('bench.sentence.nozzles', {
    count: Number(spray.count) || 0,
    name: spray.nozzle.name || 'none',
  });
}

type Lengths = { readonly text: string; readonly unit: UnitId };
const isSame = (a: Lengths, b: Lengths): boolean =>
  textWithUnit(a.text, a.unit) === textWithUnit(b.text, b.unit);

/** How wide a pass counts, and where that was taken from. */
export function widthText(
  { width }: CalibrationInput,
  rig: RigInput | null,
  accepted: AcceptedInput | null,
): string {
  const spread = rig ? rigKind(rig.kind).width : 'passes';
  if (width.text.trim() === '') return say('bench.sentence.widthUnset', { kind: spread });
  const length = textWithUnit(width.text, width.unit);
  const isTested = accepted !== null && isSame(width, accepted);
  return say('bench.sentence.width', {
    kind: spread,
    length,
    from: isTested ? 'trays' : rig && isSame(width, rig.width) ? 'usual' : 'typed',
    day: isTested ? dayText(accepted.onDay) : '',
  });
}

/** The pace of work, and where it was taken from. */
export function paceSaid({ pace }: CalibrationInput, rig: RigInput | null): string {
  if (pace.course.trim() === '' || pace.time.trim() === '') return say('bench.sentence.paceWalked');
  const isUsual = rig?.pace.time === pace.time && rig.pace.course === pace.course;
  return say('bench.sentence.pace', {
    course: textWithUnit(pace.course, pace.unit),
    time: textWithUnit(pace.time, 's'),
    usual: isUsual ? 'yes' : 'no',
  });
}

export const scaleStepText = ({ scaleStep, units }: CalibrationInput, last: string | null): string =>
  scaleStep.trim() === ''
    ? say('bench.sentence.scaleUnknown')
    : say('bench.sentence.scale', {
        step: textWithUnit(scaleStep, units.mass),
        last: scaleStep === last ? 'yes' : 'no',
      });

export const toleranceText = ({ tolerance, isCeiling }: CalibrationInput): string =>
  say('bench.sentence.tolerance', { tolerance: tolerance.trim() || '5', kind: isCeiling ? 'limit' : 'goal' });

const BEGINS = {
  low: say('bench.begins.low'),
  middle: say('bench.begins.middle'),
  label: say('bench.begins.label'),
  shape: say('bench.begins.shape'),
} as const;

/** Where the first test run begins. */
export function firstText({ start }: CalibrationInput, { reading }: CalibrationContext): string {
  const from = reading.advice?.start.from;
  if (from) return say('bench.sentence.first', { begins: BEGINS[from] });
  return say('bench.sentence.first', {
    begins: start === 'auto' ? say('bench.begins.known') : BEGINS[start],
  });
}

export const productText = ({ lot, grain }: CalibrationInput): string =>
  [
    lot.trim() && say('bench.sentence.lot', { lot: lot.trim() }),
    grain.trim() && say('bench.sentence.grain', { grain: grain.trim() }),
  ]
    .filter(Boolean)
    .join(', ') || say('bench.sentence.noLot');

export const unitsText = ({ units, target }: CalibrationInput): string =>
  say('bench.sentence.units', {
    mass: UNITS[units.mass].symbol,
    length: UNITS[units.length].symbol,
    rate: UNITS[target.unit].symbol,
  });
