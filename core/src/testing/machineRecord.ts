import type { BenchRig } from './benchRig.ts';
import { evaluateCalibration } from './calibration.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { joinRecords, type ScatterRecord } from './scatter.ts';

/** A calibration of a machine, with its id. */
interface Kept {
  readonly id: string;
  readonly input: CalibrationInput;
}

/** Repeats by the calibration that they were read from and the machine it was read with. */
const KNOWN = new WeakMap<
  CalibrationInput,
  { readonly rig: BenchRig; readonly since: string; readonly record: ScatterRecord }
>();

/** What was repeated since a day: older runs say little of the machine as it is now. */
function repeatsSince(input: CalibrationInput, rig: BenchRig, since: string): ScatterRecord {
  const known = KNOWN.get(input);
  if (known && known.since === since && JSON.stringify(known.rig) === JSON.stringify(rig))
    return known.record;
  const runs = input.runs.filter(({ onDay }) => onDay >= since);
  const record = evaluateCalibration({ ...input, runs }, rig).repeats;
  KNOWN.set(input, { rig, since, record });
  return record;
}

/**
 * How much repeats differ on a machine, from its other calibrations of the last two seasons: a machine that is known to be unsteady
 * gets wider bands from the first run on, a steady one narrower. Each setting of each calibration is a group of its own.
 *
 * @param calibrations of the crew
 * @param of the calibration that it is asked for: its own repeats are counted there; its id, null where it is one of them as it stands
 * @param today year-month-day
 * @example machineRecord([], { id: '1', input: calibration }, bench, '2026-11-26') // { squares: 0, degrees: 0 }: there are no others
 */
export function machineRecord(
  calibrations: readonly Kept[],
  of: { readonly id: string | null; readonly input: CalibrationInput },
  rig: BenchRig,
  today: string,
): ScatterRecord {
  const since = `${Number(today.slice(0, 4)) - 2}${today.slice(4)}`;
  const own = of.input;
  const others = calibrations.filter(
    ({ id, input }) => id !== of.id && input !== own && own.rig !== '' && input.rig === own.rig,
  );
  return joinRecords(others.map(({ input }) => repeatsSince(input, rig, since)));
}
