import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import type { InputError } from '../errors/InputError.ts';
import { readWhole } from '../fields/counts.ts';
import { noteDay } from '../fields/heading.ts';
import { lengthText, pressureUnit, text, volumeUnit, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { RigKind } from './kinds.ts';
import { rigKind } from './kinds.ts';
import { blankNozzle, evaluateNozzleFacts, nozzleFacts, type NozzleResult } from './nozzle.ts';

/** What a machine sprays with. */
export const sprayInput = z.object({
  tank: z.object({ size: text, unit: volumeUnit }),
  /** The nozzle that is fitted, all alike: as it stood in the table when it was chosen, or as typed. */
  nozzle: nozzleFacts,
  /** How many spray at once, how far apart, and since when. */
  count: text,
  spacing: lengthText,
  fittedOn: text,
  /** Working pressure. */
  pressure: z.object({ text, unit: pressureUnit }),
  /** Useful width as it was measured: grass is narrower than concrete. */
  width: z.object({ grass: lengthText, concrete: lengthText }),
});
export type SprayInput = InputOf<typeof sprayInput>;

export interface SprayResult {
  readonly tankL: number | null;
  readonly nozzle: NozzleResult;
  /** Nozzles that spray at once: 1 where nothing else is said. */
  readonly count: number;
  readonly pressurePa: number | null;
  /** Nozzle spacing times nozzles, m; null: not known. */
  readonly widthBySpacingM: number | null;
  /** What is to be gone by, m: as measured on grass, else by the nozzles, else as measured on concrete. */
  readonly widthM: number | null;
  readonly widthFrom: 'grass' | 'nozzles' | 'concrete' | null;
  readonly errors: readonly InputError[];
}

/** More nozzles than this are on no boom that a crew tests by hand. */
export const MAX_NOZZLES = 120;

/**
 * What a machine sprays with, while nothing is known of it.
 *
 * @example blankSpray('us').pressure.unit // 'psi'
 */
export function blankSpray(system: 'us' | 'metric'): SprayInput {
  const length = { text: '', unit: system === 'us' ? ('ft' as const) : ('m' as const) };
  const { notes: _, ...nozzle } = blankNozzle(system);
  return {
    tank: { size: '', unit: system === 'us' ? 'gal' : 'L' },
    nozzle,
    count: '',
    spacing: { text: '', unit: system === 'us' ? 'in' : 'cm' },
    fittedOn: '',
    pressure: { text: '', unit: nozzle.at.unit },
    width: { grass: length, concrete: length },
  };
}

/**
 * Reads what a machine sprays with.
 *
 * @param kind a hand gun, a bottle and a knapsack have one nozzle, whatever is typed
 * @example evaluateSpray({ ...blankSpray('metric'), count: '4', spacing: { text: '0.5', unit: 'm' } }, 'boom').widthM // 2
 */
export function evaluateSpray(input: SprayInput, kind: RigKind): SprayResult {
  const { errors, tryRead, readIfPresent } = collect();
  const length = ({ text, unit }: SprayInput['spacing'], name: string) =>
    readIfPresent(text, () => readPositive(text, { kind: 'length', bareUnit: unit, field: `spray.${name}.text` }, message('errors.what.width')).si); // prettier-ignore
  const { tank, pressure } = input;
  const hasRow = rigKind(kind).nozzles === 'row';
  const count = hasRow ? readIfPresent(input.count, () => readWhole(input.count, { field: 'spray.count', most: MAX_NOZZLES })) : null; // prettier-ignore
  const spacingM = hasRow ? length(input.spacing, 'spacing') : null;
  const nozzle = evaluateNozzleFacts(input.nozzle, 'spray.nozzle');
  const tankL = readIfPresent(tank.size, () => readPositive(tank.size, { kind: 'volume', bareUnit: tank.unit, field: 'spray.tank.size' }, message('errors.what.tank')).si); // prettier-ignore
  const pressurePa = readIfPresent(pressure.text, () => readPositive(pressure.text, { kind: 'pressure', bareUnit: pressure.unit, field: 'spray.pressure.text' }, message('errors.what.pressure')).si); // prettier-ignore
  const [grassM, concreteM] = [
    length(input.width.grass, 'width.grass'),
    length(input.width.concrete, 'width.concrete'),
  ];
  noteDay(tryRead, input.fittedOn, 'spray.fittedOn');
  const widthBySpacingM = count !== null && spacingM !== null ? count * spacingM : null;
  const widths = [
    ['grass', grassM],
    ['nozzles', widthBySpacingM],
    ['concrete', concreteM],
  ] as const;
  const [widthFrom, widthM] = widths.find(([, m]) => m !== null) ?? [null, null];
  return {
    tankL,
    nozzle,
    count: count ?? 1,
    pressurePa,
    widthBySpacingM,
    widthM,
    widthFrom,
    errors: [...errors, ...nozzle.errors],
  };
}
