import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import type { InputError } from '../errors/InputError.ts';
import { daysUntil } from '../fields/days.ts';
import { readDay, readName } from '../fields/heading.ts';
import { lengthText, notes, text, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { System } from '../quantities/units.ts';

/** Somebody who spreads, as typed. */
export const personInput = z.object({
  name: text,
  /** Number or name of the license; empty: none. */
  license: text,
  /** The last day on which it holds; empty: it does not end, or nobody said. */
  licenseUntil: text,
  /** One step, for the beat of the pace. */
  step: lengthText,
  notes,
});
export type PersonInput = InputOf<typeof personInput>;

/**
 * Somebody of whom nothing is known yet.
 *
 * @example blankPerson('us').step.unit // 'ft'
 */
export const blankPerson = (system: System): PersonInput => ({
  name: '',
  license: '',
  licenseUntil: '',
  step: { text: '', unit: system === 'us' ? 'ft' : 'm' },
  notes: '',
});

/**
 * Reads somebody of the crew.
 *
 * @example evaluatePerson(blankPerson('us')).errors[0].code // 'name.empty'
 */
export function evaluatePerson({ name, licenseUntil, step }: PersonInput): {
  readonly stepM: number | null;
  readonly errors: readonly InputError[];
} {
  const { errors, tryRead, readIfPresent } = collect();
  tryRead(() => readName(name, 'name', message('errors.example.person')));
  readIfPresent(licenseUntil, () => readDay(licenseUntil, 'licenseUntil'));
  return {
    stepM: readIfPresent(step.text, () => readPositive(step.text, { kind: 'length', bareUnit: step.unit, field: 'step.text' }, message('errors.what.step')).si), // prettier-ignore
    errors,
  };
}

/** A license that ends within so many days wants renewing. */
export const LICENSE_SOON_DAYS = 60;

/**
 * How a license stands on a day: without one, without an end, in force, ending soon, ended.
 *
 * @param onDay year-month-day
 * @example licenseOn({ license: 'TH-1', licenseUntil: '2026-04-17' }, '2026-04-18') // 'ended'
 */
export function licenseOn(
  { license, licenseUntil }: Pick<PersonInput, 'license' | 'licenseUntil'>,
  onDay: string,
): 'none' | 'holds' | 'soon' | 'ended' {
  if (license.trim() === '') return 'none';
  if (licenseUntil === '') return 'holds';
  if (licenseUntil < onDay) return 'ended';
  return daysUntil(onDay, licenseUntil) <= LICENSE_SOON_DAYS ? 'soon' : 'holds';
}
