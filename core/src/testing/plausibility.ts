import { message, type Message } from '../messages/message.ts';
import { showExact, showQuantity } from '../quantities/show.ts';
import type { BenchRig } from './benchRig.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { rateAtWork, type RunResult } from './readRun.ts';
import { groupBySetting } from './scatter.ts';
import { dimensionOf, isSprayed } from './rate.ts';
import { speedText } from './showBench.ts';
import { rigKind } from '../machines/kinds.ts';
import { volumeUnitFor } from '../fields/size.ts';

/** Something that is asked before it is believed. Until it is answered, a run that is far out does not count; runs that differ do. */
export interface PlausibilityCheck {
  /** Stable: an answer names it. */
  readonly id: string;
  readonly kind: 'far' | 'apart' | 'overfilled' | 'no-flow' | 'tare' | 'nozzle' | 'speed' | 'pressure';
  /** Runs that it is about. */
  readonly runs: readonly string[];
  readonly text: Message;
}

/** So many times the rate that is wanted is more likely a slip of a unit than a wide gate. */
const FAR = 6;
/** Two runs at one setting that differ by more are more likely a slip than scatter: 3 % scatter gives 15 % once in 2 000 pairs. */
const APART = 0.15;

/** Runs that put down many times what is wanted: "is it really 40 lb?" */
function farOut(
  readings: readonly RunResult[],
  input: CalibrationInput,
  targetSi: number,
): PlausibilityCheck[] {
  return readings.flatMap(({ id, worked }, index): PlausibilityCheck[] => {
    if (!worked || worked.rateSi <= FAR * targetSi) return [];
    const times = showExact(worked.rateSi / targetSi, 2);
    const unit = isSprayed(dimensionOf(input.target.unit))
      ? volumeUnitFor(input.units.length)
      : input.units.mass;
    const net = showQuantity(worked.netSi, unit, 3);
    const text = message('questions.far', {
      setting: input.runs[index]!.setting,
      times,
      net: `${net.number} ${net.unit}`,
    });
    return [{ id: `far.${id}`, kind: 'far', runs: [id], text }];
  });
}

/** Runs at one setting that lie far apart. */
function farApart(readings: readonly RunResult[]): PlausibilityCheck[] {
  const counted = readings.flatMap((run) => {
    const rate = rateAtWork(run);
    return run.counts && run.mark && rate
      ? [{ id: run.id, label: run.mark.label, setting: run.mark.opening, rate: rate.rateSi }]
      : [];
  });
  return [...groupBySetting(counted).values()].flatMap((runs): PlausibilityCheck[] => {
    const ordered = runs.toSorted((a, b) => a.rate - b.rate);
    const [low, high] = [ordered[0]!, ordered.at(-1)!];
    const apart = high.rate / low.rate - 1;
    if (apart <= APART) return [];
    const text = message('questions.apart', { setting: low.label, percent: showExact(apart * 100, 2) });
    const ids = [low.id, high.id];
    return [{ id: `apart.${ids.toSorted().join('.')}`, kind: 'apart', runs: ids, text }];
  });
}

/** A run in which nothing came out at or above a mark that flowed: it does not count, and one of the two went wrong. */
function contradicting(readings: readonly RunResult[]): PlausibilityCheck[] {
  const flowed = readings.filter(({ counts, mark, worked }) => counts && mark && worked && worked.rateSi > 0);
  return readings.flatMap(({ id, mark, worked, counts }): PlausibilityCheck[] => {
    if (!counts || !mark || worked?.rateSi !== 0) return [];
    const other = flowed.find((run) => run.mark!.opening <= mark.opening);
    if (!other) return [];
    const text = message('questions.noFlow', { setting: mark.label, other: other.mark!.label });
    return [{ id: `no-flow.${id}`, kind: 'no-flow', runs: [id], text }];
  });
}

/** A container that has a name has a weight: its tare is not nothing, unless the scale was zeroed with it on. */
function emptyTare(input: CalibrationInput): PlausibilityCheck[] {
  return input.runs.flatMap(({ id, container, readings, excluded }): PlausibilityCheck[] => {
    const isNone = Object.entries(readings).some(([field, text]) => /^tare(\.\d+)?$/.test(field) && /^0+(\.0*)?(\s*\D+)?$/.test(text.trim())); // prettier-ignore
    if (!isNone || container.trim() === '' || excluded.trim() !== '') return [];
    const text = message('questions.tare', { container: container.trim() });
    return [{ id: `tare.${id}`, kind: 'tare', runs: [id], text }];
  });
}

/** Loads that the hopper cannot hold. */
function overfilled(
  readings: readonly RunResult[],
  input: CalibrationInput,
  hopperKg: number,
): PlausibilityCheck[] {
  return readings.flatMap(({ id, worked }, index): PlausibilityCheck[] => {
    if (!worked || worked.netSi <= hopperKg) return [];
    const [net, hopper] = [worked.netSi, hopperKg].map((kg) => showQuantity(kg, input.units.mass, 3));
    const text = message('questions.overfilled', { setting: input.runs[index]!.setting, net: `${net!.number} ${net!.unit}`, hopper: `${hopper!.number} ${hopper!.unit}` }); // prettier-ignore
    return [{ id: `over.${id}`, kind: 'overfilled', runs: [id], text }];
  });
}

/** So many times the others is more likely a slip of the pen than wear. */
const NOZZLE_APART = 1.6;
/** So many times the fastest comfortable speed, or the pressure that a nozzle is made for, is more likely another unit. */
const UNIT_APART = 3;

/** One nozzle far from all others: is it really so, or was it read or typed wrong? */
function oddNozzles(readings: readonly RunResult[], unit: 'mL' | 'fl oz'): PlausibilityCheck[] {
  return readings.flatMap(({ id, worked }): PlausibilityCheck[] => {
    const flows = worked?.flowsLPerS ?? [];
    if (flows.length < 3) return [];
    const middle = flows.toSorted((a, b) => a - b)[Math.floor(flows.length / 2)]!;
    const odd = flows.findIndex((flow) => flow > NOZZLE_APART * middle);
    if (odd < 0 || middle === 0) return [];
    const text = message('questions.nozzle', { number: odd + 1, times: showExact(flows[odd]! / middle, 2), unit });
    return [{ id: `nozzle.${id}`, kind: 'nozzle', runs: [id], text }];
  });
} // prettier-ignore

/** A speed that no such machine goes, and a pressure that its nozzles are not made for. */
function otherUnits(readings: readonly RunResult[], { kind, spray }: BenchRig, input: CalibrationInput): PlausibilityCheck[] {
  const [, fastest] = rigKind(kind).pace;
  const { length } = input.units;
  return readings.flatMap(({ id, worked }): PlausibilityCheck[] => {
    const { paceMPerS: speed = null, pressurePa = null } = worked ?? {};
    const { lowPa, highPa } = spray?.nozzle ?? { lowPa: null, highPa: null };
    const isOff = pressurePa !== null && ((highPa !== null && pressurePa > UNIT_APART * highPa) || (lowPa !== null && pressurePa < lowPa / UNIT_APART));
    return [
      ...(speed !== null && speed > UNIT_APART * fastest ? [{ id: `speed.${id}`, kind: 'speed' as const, runs: [id], text: message('questions.speed', { speed: speedText(speed, length) }) }] : []),
      ...(isOff ? [{ id: `pressure.${id}`, kind: 'pressure' as const, runs: [id], text: message('questions.pressure', { psi: pressureText(pressurePa, 'psi'), bar: pressureText(pressurePa, 'bar') }) }] : []),
    ];
  });
} // prettier-ignore

const pressureText = (pa: number, unit: 'psi' | 'bar'): string => {
  const { number, unit: symbol } = showQuantity(pa, unit, 2);
  return `${number} ${symbol}`;
};

/**
 * What has to be asked about the runs of a calibration; what was answered is left out.
 *
 * @param targetSi null: not known, nothing is far from it
 */
export function plausibilityChecks(
  readings: readonly RunResult[],
  input: CalibrationInput,
  rig: BenchRig,
  targetSi: number | null,
): PlausibilityCheck[] {
  const isLive = (at: number) => input.runs[at]!.excluded.trim() === '';
  const live = readings.filter((_, index) => isLive(index));
  const keep = { ...input, runs: input.runs.filter((_, index) => isLive(index)) };
  const open = (plausibility: readonly PlausibilityCheck[]) =>
    plausibility.filter(({ id }) => !input.confirmed.includes(id));
  const single = open([
    ...(targetSi === null ? [] : farOut(live, keep, targetSi)),
    ...(rig.hopperKg === null ? [] : overfilled(live, keep, rig.hopperKg)),
    ...emptyTare(input),
    ...(rig.spray === null ? [] : [...oddNozzles(live, volumeUnitFor(input.units.length)), ...otherUnits(live, rig, input)]), // prettier-ignore
  ]);
  const asked = new Set(single.flatMap(({ runs }) => runs));
  const rest = live.filter(({ id }) => !asked.has(id));
  return [...single, ...open(contradicting(rest)), ...open(farApart(rest.filter(({ worked }) => worked?.rateSi !== 0)))]; // prettier-ignore
}
