import { message } from '../messages/message.ts';
import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readQuantity } from '../quantities/quantity.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import { readDay, readName } from '../fields/heading.ts';
import { idOrNone, massRateUnit, notes, text, type InputOf } from '../fields/schema.ts';
import { otherForm, type Nutrient } from './nutrients.ts';

/** What a laboratory says that the ground needs, named by its oxide forms; which form the numbers are in is asked. */
export const SOIL_NUTRIENTS = ['N', 'P2O5', 'K2O', 'S'] as const satisfies readonly Nutrient[];
export type SoilNutrient = (typeof SOIL_NUTRIENTS)[number];

/** A soil test as typed from the laboratory's sheet. */
export const soilTestInput = z.object({
  /** The ground that was sampled. */
  name: text,
  /** Id of the site that it belongs to, and of one of its areas; empty: not said. */
  site: idOrNone,
  area: idOrNone,
  onDay: text,
  lab: text,
  /** Needs per area. Empty: not stated; 0: nothing wanted. */
  needs: z.object({ N: text, P2O5: text, K2O: text, S: text }),
  form: z.enum(['oxide', 'elemental']),
  unit: massRateUnit,
  ph: text,
  limeNote: notes,
  notes,
});
export type SoilTestInput = InputOf<typeof soilTestInput>;

/** A need as the laboratory states it, in its own form. */
export interface SoilNeed {
  readonly nutrient: Nutrient;
  readonly kgPerM2: number;
}

export interface SoilTestResult {
  readonly needs: readonly SoilNeed[];
  readonly ph: number | null;
  readonly errors: readonly InputError[];
}

/**
 * An empty soil test.
 *
 * @example blankSoilTest('kg/ha', '2026-03-02').onDay // '2026-03-02'
 */
export const blankSoilTest = (unit: MassPerAreaUnit, onDay: string): SoilTestInput => ({
  name: '',
  site: '',
  area: '',
  onDay,
  lab: '',
  needs: { N: '', P2O5: '', K2O: '', S: '' },
  form: 'oxide',
  unit,
  ph: '',
  limeNote: '',
  notes: '',
});

/**
 * Whether a soil test is of some ground: of the same site, and of the same area where it names one.
 *
 * @example isTestOf({ site: 's', area: '' }, [{ site: 's', area: 'a' }]) // true
 */
export const isTestOf = (
  { site, area }: Pick<SoilTestInput, 'site' | 'area'>,
  ground: readonly { readonly site: string; readonly area: string }[],
): boolean => site !== '' && ground.some((each) => each.site === site && (area === '' || each.area === area));

/**
 * The youngest soil test of some ground; null: there is none of it.
 *
 * @example youngestTestOf([], [{ site: 's', area: 'a' }]) // null
 */
export const youngestTestOf = <Test extends { readonly input: SoilTestInput }>(
  tests: readonly Test[],
  ground: readonly { readonly site: string; readonly area: string }[],
): Test | null =>
  tests.filter(({ input }) => isTestOf(input, ground)).toSorted((a, b) => b.input.onDay.localeCompare(a.input.onDay))[0] ?? null; // prettier-ignore

/**
 * The nutrient in the form that a laboratory states: P for P2O5 when its sheet is elemental.
 *
 * @example statedForm('P2O5', 'elemental') // 'P'
 */
export const statedForm = (nutrient: SoilNutrient, form: SoilTestInput['form']): Nutrient =>
  form === 'elemental' ? (otherForm(nutrient) ?? nutrient) : nutrient;

function readPh(input: string): number {
  const { value } = toResult(() => readNumber(input, 'ph'));
  if (value === null || value < 2 || value > 12)
    throw new InputError('ph.unreadable', { field: 'ph', input });
  return value;
}

/**
 * Reads a soil test: the needs that it states, 0 included, and its pH.
 *
 * @returns kg/m2 in the form stated; every error at its field
 * @example evaluateSoilTest({ ...blankSoilTest('kg/ha', '2026-03-02'), name: 'Pitch', needs: { N: '90', P2O5: '', K2O: '', S: '' } }).needs
 * // [{ nutrient: 'N', kgPerM2: 0.009 }]
 */
export function evaluateSoilTest(input: SoilTestInput): SoilTestResult {
  const { errors, tryRead } = collect();
  tryRead(() => readName(input.name, 'name', message('errors.example.soilTest')));
  tryRead(() => readDay(input.onDay, 'onDay'));
  const needs = SOIL_NUTRIENTS.flatMap((id): SoilNeed[] => {
    const text = input.needs[id];
    if (text.trim() === '') return [];
    const field = `needs.${id}`;
    const kgPerM2 = tryRead(() => {
      const { si } = readQuantity(text, { kind: 'massPerArea', bareUnit: input.unit, field });
      if (si < 0) throw new InputError('count.unreadable', { field, hint: '40' });
      if (si > 1) throw new InputError('need.too-large', { field, input: text });
      return si;
    });
    return kgPerM2 === null ? [] : [{ nutrient: statedForm(id, input.form), kgPerM2 }];
  });
  return { needs, ph: input.ph.trim() === '' ? null : tryRead(() => readPh(input.ph)), errors };
}
