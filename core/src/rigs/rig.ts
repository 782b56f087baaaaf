import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { LengthUnit, MassUnit } from '../quantities/units.ts';
import { noteDay, readName } from '../fields/heading.ts';
import { rigKind, type RigKind } from './kinds.ts';
import { blankScale, evaluateScale, type ScaleResult, type ScaleInput } from './scale.ts';
import { readPace, type PaceOfWork } from './readPace.ts';
import { readWidth } from './width.ts';

/** What was done to a machine, and when it is due again. */
export interface ServiceInput {
  readonly id: string;
  readonly onDay: string;
  readonly what: string;
  readonly dueDay: string;
}

/** All outlets feed one row, or each feeds its own. */
export type Feeds = 'one-row' | 'own-rows';

const MAX_OUTLETS = 12;

function readOutlets(typed: string): number {
  const count = readNumber(typed, 'outlets.count');
  if (Number.isInteger(count) && count >= 1 && count <= MAX_OUTLETS) return count;
  throw new InputError('count.whole', { field: 'outlets.count', most: MAX_OUTLETS, typed });
}

/** A machine as typed. */
export interface RigInput {
  readonly name: string;
  readonly kind: RigKind;
  /** The control that is tested. */
  readonly control: ScaleInput;
  /** A second one that stays as it is during a test: part of each chart's key. Without marks there is none. */
  readonly second: ScaleInput;
  /** Of a row distributor: how many outlets it has, and whether all feed one row or each its own. */
  readonly outlets: { readonly count: string; readonly feeds: Feeds };
  readonly hopper: { readonly size: string; readonly unit: MassUnit };
  /** Hopper width of a drop spreader, usual pass spacing of a rotary, row spacing of a row distributor. */
  readonly width: { readonly text: string; readonly unit: LengthUnit };
  /** Usual pace: a course and the time for it. */
  readonly pace: PaceOfWork;
  /** Own additions to what is looked at before use and after it. */
  readonly before: readonly string[];
  readonly after: readonly string[];
  readonly services: readonly ServiceInput[];
  readonly notes: string;
}

export const blankRig = (system: 'us' | 'metric'): RigInput => {
  const length = system === 'us' ? 'ft' : 'm';
  return {
    name: '',
    kind: 'push-rotary',
    control: blankScale(),
    second: { ...blankScale(), name: '' },
    outlets: { count: '', feeds: 'own-rows' },
    hopper: { size: '', unit: system === 'us' ? 'lb' : 'kg' },
    width: { text: '', unit: length },
    pace: { course: '', unit: length, time: '' },
    before: [],
    after: [],
    services: [],
    notes: '',
  };
};

/**
 * A machine as this version knows it, from one that an earlier version kept.
 *
 * @example upgradeRig({ name: 'Red spreader' }).outlets // { count: '', feeds: 'own-rows' }
 */
export function upgradeRig(kept: Partial<RigInput>): RigInput {
  const blank = blankRig(kept.hopper?.unit === 'kg' ? 'metric' : 'us');
  const { name, setting } = { name: '', setting: '', ...(kept.second as { setting?: string } | undefined) };
  // Once the second control was a name and the one mark it stood at.
  const second = setting ? { ...blank.second, name, style: 'own' as const, own: setting } : { ...blank.second, ...kept.second }; // prettier-ignore
  return { ...blank, ...kept, second: withoutSetting(second) };
}

function withoutSetting(scale: ScaleInput & { setting?: string }): ScaleInput {
  const { setting: _, ...rest } = scale;
  return rest;
}

export interface RigResult {
  readonly control: ScaleResult;
  /** Its second control; without marks there is none. */
  readonly second: ScaleResult;
  /** 1 where nothing else is said. */
  readonly outlets: number;
  readonly hopperKg: number | null;
  readonly widthM: number | null;
  readonly paceMPerS: number | null;
  /** Whether the usual pace lies where one walks or drives comfortably. */
  readonly paceIsUsual: boolean;
  /** All that is looked at: what the kind asks for, then own additions. */
  readonly before: readonly string[];
  readonly after: readonly string[];
  readonly errors: readonly InputError[];
}

/**
 * Reads a machine.
 *
 * @example evaluateRig({ ...blankRig('us'), name: 'Red spreader' }).errors // []
 */
export function evaluateRig(rig: RigInput): RigResult {
  const { errors, tryRead, readIfPresent } = collect();
  tryRead(() => readName(rig.name, 'name', 'Red push spreader'));
  const control = evaluateScale(rig.control, 'control');
  const second = evaluateScale(rig.second, 'second');
  const outlets = readIfPresent(rig.outlets.count, () => readOutlets(rig.outlets.count));
  const hopperKg = readIfPresent(
    rig.hopper.size,
    () => readPositive(rig.hopper.size, { kind: 'mass', bareUnit: rig.hopper.unit, field: 'hopper.size' }, 'The hopper').si, // prettier-ignore
  );
  const widthM = readIfPresent(
    rig.width.text,
    () => readWidth({ ...rig.width, by: 'measured' }, 'width.text').si,
  );
  const paceMPerS = readPace(rig.pace, 'pace', { readIfPresent });
  rig.services.forEach(({ onDay, dueDay }, at) => {
    noteDay(tryRead, onDay, `services.${at}.onDay`);
    noteDay(tryRead, dueDay, `services.${at}.dueDay`);
  });
  const { pace, before, after } = rigKind(rig.kind);
  const whole = (lines: readonly string[]) => lines.map((line) => line.trim()).filter((line) => line !== '');
  return {
    control,
    second,
    outlets: outlets ?? 1,
    hopperKg,
    widthM,
    paceMPerS,
    paceIsUsual: paceMPerS === null || (paceMPerS >= pace[0] && paceMPerS <= pace[1]),
    before: [...before, ...whole(rig.before)],
    after: [...after, ...whole(rig.after)],
    errors: [...errors, ...control.errors, ...second.errors],
  };
}
