import { grouped } from '../fields/grouped.ts';
import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { finite } from '../errors/preconditions.ts';
import { daysLater } from '../fields/days.ts';
import { readDay, readName } from '../fields/heading.ts';
import { massUnit, notes, text, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { System } from '../quantities/units.ts';
import { PRODUCT_KINDS } from '../products/product.ts';
import { evaluateApplication } from './application.ts';
import type { ApplicationInput } from './applicationInput.ts';

/** A winter of the crew, as typed: what is to be reached, and what used to be put down. */
export const winterInput = z.object({
  name: text,
  fromDay: text,
  toDay: text,
  /** Salt at most; empty: no goal. */
  goal: z.object({ text, unit: massUnit }),
  /** The rate of the time before machines were calibrated: an estimate rests on it. */
  habit: z.object({ text, unit: z.enum(['lb/1000 ft2', 'g/m2']) }),
  notes,
});
export type WinterInput = InputOf<typeof winterInput>;

export interface WinterResult {
  readonly goalKg: number | null;
  readonly habitKgPerM2: number | null;
  readonly errors: readonly InputError[];
}

/**
 * A winter of which nothing is known yet.
 *
 * @example blankWinter('us').habit.unit // 'lb/1000 ft2'
 */
export const blankWinter = (system: System): WinterInput => ({
  name: '',
  fromDay: '',
  toDay: '',
  goal: { text: '', unit: system === 'us' ? 'lb' : 'kg' },
  habit: { text: '', unit: system === 'us' ? 'lb/1000 ft2' : 'g/m2' },
  notes: '',
});

/**
 * Reads a winter.
 *
 * @example evaluateWinter({ ...winter, toDay: '2026-10-01' }).errors[0].code // 'winter.ends'
 */
export function evaluateWinter({ name, fromDay, toDay, goal, habit }: WinterInput): WinterResult {
  const { errors, tryRead, readIfPresent } = collect();
  tryRead(() => readName(name, 'name', message('errors.example.winter')));
  const from = tryRead(() => readDay(fromDay, 'fromDay'));
  const to = tryRead(() => readDay(toDay, 'toDay'));
  if (from !== null && to !== null && to < from)
    errors.push(new InputError('winter.ends', { field: 'toDay', hint: from }));
  return {
    goalKg: readIfPresent(goal.text, () => readPositive(goal.text, { kind: 'mass', bareUnit: goal.unit, field: 'goal.text' }, message('errors.what.goal')).si),
    habitKgPerM2: readIfPresent(habit.text, () => readPositive(habit.text, { kind: 'massPerArea', bareUnit: habit.unit, field: 'habit.text' }, message('errors.what.rate')).si),
    errors,
  }; // prettier-ignore
}

/**
 * The winter that a day lies in.
 *
 * @returns null where it lies in none
 * @example winterOn([{ fromDay: '2026-11-01', toDay: '2027-04-15' }], '2027-01-01').fromDay // '2026-11-01'
 */
export const winterOn = <Winter extends Pick<WinterInput, 'fromDay' | 'toDay'>>(
  winters: readonly Winter[],
  day: string,
): Winter | null => winters.find(({ fromDay, toDay }) => fromDay <= day && day <= toDay) ?? null;

/** A round on an area, as it stands by now. */
export interface SeasonRow {
  readonly id: string;
  /** The storm. */
  readonly subject: string;
  /** Year-month-day where it was done. */
  readonly onDay: string;
  readonly input: ApplicationInput;
}

/** Sums over rounds. */
export interface SaltSums {
  readonly rounds: number;
  /** Ground that was treated, each time counted, m2. */
  readonly treatedM2: number;
  /** Salt on the ground, swept up, and the chloride in what stayed, kg. */
  readonly saltKg: number;
  readonly sweptKg: number;
  readonly chlorideKg: number;
  /** Rounds whose salt is not known: they are in none of these. */
  readonly unknown: number;
}

const NOTHING: SaltSums = { rounds: 0, treatedM2: 0, saltKg: 0, sweptKg: 0, chlorideKg: 0, unknown: 0 };

function plus(sums: SaltSums, { input }: SeasonRow): SaltSums {
  const { isVoid, areaM2, saltKg, sweptSaltKg, chlorideKg } = evaluateApplication(input);
  if (isVoid) return sums;
  return {
    rounds: sums.rounds + 1,
    treatedM2: finite(sums.treatedM2 + (areaM2 ?? 0)),
    saltKg: finite(sums.saltKg + (saltKg ?? 0)),
    sweptKg: finite(sums.sweptKg + (sweptSaltKg ?? 0)),
    chlorideKg: finite(sums.chlorideKg + (chlorideKg ?? 0)),
    unknown: sums.unknown + (saltKg === null || chlorideKg === null ? 1 : 0),
  };
}

/**
 * Salt of these rounds together; what was marked as void is left out.
 *
 * @example saltOf([]).saltKg // 0
 */
export const saltOf = (rows: readonly SeasonRow[]): SaltSums => rows.reduce(plus, NOTHING);

/**
 * Salt by something that rows have: the site, the storm, the area; in the order in which they first come.
 *
 * @example saltBy([], ({ subject }) => subject).length // 0
 */
export function saltBy(
  rows: readonly SeasonRow[],
  keyOf: (row: SeasonRow) => string,
): { readonly key: string; readonly sums: SaltSums }[] {
  return [...grouped(rows, keyOf)].map(([key, group]) => ({ key, sums: saltOf(group) }));
}

/**
 * The rounds of a span of days, over New Year too.
 *
 * @example rowsWithin([], '2026-11-01', '2027-04-15') // []
 */
export const rowsWithin = <Row extends Pick<SeasonRow, 'onDay'>>(
  rows: readonly Row[],
  fromDay: string,
  toDay: string,
): Row[] => rows.filter(({ onDay }) => onDay >= fromDay && onDay <= toDay);

/** What was saved against a former habit: an estimate, for the rounds whose area is known. */
export interface Saving {
  readonly rounds: number;
  readonly treatedM2: number;
  /** Product at the rate of before, and what really went out, kg. */
  readonly habitKg: number;
  readonly usedKg: number;
  /** Below 0: more than before. */
  readonly savedKg: number;
  /** Mean of what really went out, kg/m2. */
  readonly meanKgPerM2: number;
}

/**
 * What was saved against a former habit: the same rounds over the same ground at the rate of before. Dry rounds whose area is known
 * count; whether as many rounds would have been needed then nobody knows.
 *
 * @param habitKgPerM2 above 0
 * @returns null where no round counts
 * @throws InputError number.unusable
 * @example savingAgainst([], 0.05) // null
 */
export function savingAgainst(rows: readonly SeasonRow[], habitKgPerM2: number): Saving | null {
  const counted = rows
    .filter(({ input }) => PRODUCT_KINDS[input.product.kind].form === 'dry')
    .map(({ input }) => evaluateApplication(input))
    .filter(({ isVoid, areaM2, amountSi }) => !isVoid && areaM2 !== null && areaM2 > 0 && amountSi !== null);
  if (counted.length === 0) return null;
  const treatedM2 = finite(counted.reduce((sum, { areaM2 }) => sum + areaM2!, 0));
  const usedKg = finite(counted.reduce((sum, { amountSi }) => sum + amountSi!, 0));
  const habitKg = finite(treatedM2 * habitKgPerM2);
  return { rounds: counted.length, treatedM2, habitKg, usedKg, savedKg: finite(habitKg - usedKg), meanKgPerM2: finite(usedKg / treatedM2) }; // prettier-ignore
}

/**
 * The winter before: the same days a year earlier, as far as this one has come.
 *
 * @param today year-month-day
 * @example yearBefore({ fromDay: '2026-11-01', toDay: '2027-04-15' }, '2026-12-20').toDay // '2025-12-20'
 */
export function yearBefore(
  { fromDay, toDay }: Pick<WinterInput, 'fromDay' | 'toDay'>,
  today: string,
): { readonly fromDay: string; readonly toDay: string } {
  const last = today < toDay ? today : toDay;
  const back = (day: string): string => {
    const earlier = `${Number(day.slice(0, 4)) - 1}${day.slice(4)}`;
    // 29 February has no year before.
    return earlier.endsWith('02-29') ? daysLater(`${earlier.slice(0, 4)}-03-01`, -1) : earlier;
  };
  return { fromDay: back(fromDay), toDay: back(last) };
}
