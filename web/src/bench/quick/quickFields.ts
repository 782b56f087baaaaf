import type { LengthUnit, MassUnit } from '@steady-scatter/core/quantities';
import {
  methodOf,
  type BenchRateUnit,
  type MethodField,
  type QuickMethod,
} from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';

/** What a way of testing is called here. */
export const METHOD_NAMES: Readonly<Record<QuickMethod, string>> = {
  'weigh-back': say('bench.quick.weighBack'),
  catch: say('bench.quick.catch'),
  'timed-catch': say('bench.quick.timedCatch'),
  'run-out': say('bench.quick.runOut'),
  tray: say('bench.quick.tray'),
};

/** The two sets of units that a quick test is typed in. */
export const UNIT_SETS = {
  us: { label: say('bench.quick.us'), units: { mass: 'lb', length: 'ft' }, rate: 'lb/1000 ft2' },
  metric: { label: say('bench.quick.metric'), units: { mass: 'kg', length: 'm' }, rate: 'kg/ha' },
} as const satisfies Record<
  string,
  { label: string; units: { mass: MassUnit; length: LengthUnit }; rate: BenchRateUnit }
>;
export type UnitSet = keyof typeof UNIT_SETS;

/** The readings that a rate needs, and those that may be left out. */
export function fieldsFor(method: QuickMethod): { needed: MethodField[]; optional: MethodField[] } {
  const fields = methodOf(method).fields(1);
  const isOptional = ({ optional = false, otherwise }: MethodField) => optional || otherwise !== undefined;
  return { needed: fields.filter((field) => !isOptional(field)), optional: fields.filter(isOptional) };
}
