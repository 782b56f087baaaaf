import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { finite } from '../errors/preconditions.ts';
import { readPercent } from '../fields/counts.ts';
import { text, type InputOf } from '../fields/schema.ts';
import { readQuantity } from '../quantities/quantity.ts';
import type { System } from '../quantities/units.ts';

/**
 * Salts that thaw pavement: the share of chloride in each, by mass of what is dry of water (from molar masses), and the strongest brine
 * that water makes of it, mass per cent (where the tables of its density end; null: not known here).
 */
export const DEICER_SALTS = {
  'sodium-chloride': { chloride: 0.6066, strongest: 26 },
  'calcium-chloride': { chloride: 0.6389, strongest: 40 },
  'magnesium-chloride': { chloride: 0.7447, strongest: null },
  /** Acetates, formates, urea: no chloride. */
  'without-chloride': { chloride: 0, strongest: null },
} as const;
export type DeicerSaltId = keyof typeof DEICER_SALTS;
export const DEICER_SALT_IDS = Object.keys(DEICER_SALTS) as DeicerSaltId[];

/** What a de-icer is, as typed. */
export const deicerInput = z.object({
  /** Empty: nobody said. */
  salt: z.enum(['', ...DEICER_SALT_IDS]),
  /** Of the salt in what is dry, per cent by weight; empty: all of it. */
  purity: text,
  /** Of the salt in what is liquid, per cent by weight. */
  strength: text,
  /** The coldest pavement that it works on. */
  limit: z.object({ text, unit: z.enum(['degF', 'degC']) }),
});
export type DeicerInput = InputOf<typeof deicerInput>;

/** What a de-icer is, as read. */
export interface DeicerFacts {
  readonly salt: DeicerSaltId | null;
  /** Share of the salt by weight, above 0, 1 at most; null: of a liquid whose strength is not known. */
  readonly share: number | null;
  readonly limitC: number | null;
  readonly errors: readonly InputError[];
}

/**
 * A de-icer of which nothing is said.
 *
 * @example blankDeicer('us').limit.unit // 'degF'
 */
export const blankDeicer = (system: System): DeicerInput => ({
  salt: '',
  purity: '',
  strength: '',
  limit: { text: '', unit: system === 'us' ? 'degF' : 'degC' },
});

/** A limit that no de-icer has: the sign is missing, or the unit is another one. */
const LIMIT_C = { coldest: -60, warmest: 0 } as const;

/**
 * Reads what a de-icer is: its salt, how much of it is in the product, and the coldest pavement that it works on.
 *
 * @param form of a liquid the strength counts, of what is dry the purity
 * @example evaluateDeicer({ ...blankDeicer('us'), limit: { text: '15', unit: 'degF' } }, 'dry').limitC // -9.44444
 */
export function evaluateDeicer(
  { salt, purity, strength, limit }: DeicerInput,
  form: 'dry' | 'liquid',
): DeicerFacts {
  const { errors, readIfPresent } = collect();
  const share = (typed: string, field: string, hint: string) =>
    readIfPresent(typed, () => readPercent(typed, { field, hint, isPositive: true }));
  const pure = share(purity, 'deicer.purity', '95 %');
  const dissolved = readIfPresent(strength, () => {
    const field = 'deicer.strength';
    const read = readPercent(strength, { field, hint: '23.3 %', isPositive: true });
    const most = salt === '' ? null : DEICER_SALTS[salt].strongest;
    if (form === 'liquid' && most !== null && read * 100 > most)
      throw new InputError('brine.too-strong', { field, most });
    return read;
  });
  const limitC = readIfPresent(limit.text, () => {
    const field = 'deicer.limit.text';
    const { si } = readQuantity(limit.text, { kind: 'temperature', bareUnit: limit.unit, field });
    if (si > LIMIT_C.warmest || si < LIMIT_C.coldest) throw new InputError('pavement.limit', { field, input: limit.text.trim(), hint: '15 °F' }); // prettier-ignore
    return si;
  });
  const isWrong = (field: string) => errors.some((error) => error.field === field);
  const known = form === 'liquid' ? dissolved : (pure ?? (isWrong('deicer.purity') ? null : 1));
  return { salt: salt === '' ? null : salt, share: known, limitC, errors };
}

/**
 * Chloride in so much of a de-icer.
 *
 * @param kg of the product, 0 or more
 * @returns kg; null where its salt or the share of it is not known
 * @throws InputError number.unusable
 * @example chlorideOf({ salt: 'sodium-chloride', share: 0.95 }, 100) // 57.627
 */
export const chlorideOf = (
  { salt, share }: Pick<DeicerFacts, 'salt' | 'share'>,
  kg: number,
): number | null =>
  salt === null || share === null ? null : finite(kg * share * DEICER_SALTS[salt].chloride);
