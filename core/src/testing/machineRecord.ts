import type { BenchRig } from './benchRig.ts';
import { evaluateCalibration } from './calibration.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { joinRecords, type ScatterRecord } from './scatter.ts';

/** A calibration of a machine, with its id. */
interface Kept {
  readonly id: string;
  readonly typed: CalibrationInput;
}

/** Repeats by the calibration that they were read from and the machine it was read with. */
const KNOWN = new WeakMap<
  CalibrationInput,
  { readonly rig: BenchRig; readonly since: string; readonly record: ScatterRecord }
>();

/** What was repeated since a day: older runs say little of the machine as it is now. */
function repeatsSince(typed: CalibrationInput, rig: BenchRig, since: string): ScatterRecord {
  const known = KNOWN.get(typed);
  if (known && known.since === since && JSON.stringify(known.rig) === JSON.stringify(rig))
    return known.record;
  const runs = typed.runs.filter(({ onDay }) => onDay >= since);
  const record = evaluateCalibration({ ...typed, runs }, rig).repeats;
  KNOWN.set(typed, { rig, since, record });
  return record;
}

/**
 * How much repeats differ on a machine, from its other calibrations of the last two seasons: a machine that is known to be unsteady
 * gets wider bands from the first run on, a steady one narrower. Each setting of each calibration is a group of its own.
 *
 * @param calibrations of the crew
 * @param of the calibration that it is asked for: its own repeats are counted there; its id, null where it is one of them as it stands
 * @param today year-month-day
 * @example machineRecord(all, { id, typed }, benchRig(rig), '2026-11-26') // { squares: 0.0021, degrees: 3 }
 */
export function machineRecord(
  calibrations: readonly Kept[],
  of: { readonly id: string | null; readonly typed: CalibrationInput },
  rig: BenchRig,
  today: string,
): ScatterRecord {
  const since = `${Number(today.slice(0, 4)) - 2}${today.slice(4)}`;
  const own = of.typed;
  const others = calibrations.filter(
    ({ id, typed }) => id !== of.id && typed !== own && own.rig !== '' && typed.rig === own.rig,
  );
  return joinRecords(others.map(({ typed }) => repeatsSince(typed, rig, since)));
}
