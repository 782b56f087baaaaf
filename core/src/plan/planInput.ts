import * as z from 'zod';
import { idOrNone, notes, rateUnit, keyOf, ownIds, text, type InputOf } from '../fields/schema.ts';
import { message } from '../messages/message.ts';
import { NEED_OF } from '../products/wanted.ts';

/** Most portions of one plan: 200 areas, eight times a year. */
export const MAX_PORTIONS = 1600;

/** Why a portion waits although its day has come; empty: it does not. */
export const HOLDS = ['', 'weather', 'look', 'other'] as const;
export type Hold = (typeof HOLDS)[number];

/** So much on one area on one day. */
const portionInput = z.object({
  id: z.uuid(),
  /** The ground, and what it was called when it was planned: an area may be gone by then. */
  site: idOrNone,
  area: z.uuid(),
  siteName: text,
  areaName: text,
  /** The product on the shelf, and what it was called. */
  product: idOrNone,
  productName: text,
  /** What this portion brings of what, each time. */
  nutrient: keyOf(NEED_OF),
  amount: text,
  unit: rateUnit,
  onDay: text,
  hold: z.enum(HOLDS),
  why: text,
  /** The sheet that was made of it; empty: none yet. */
  job: idOrNone,
});
export type PortionInput = InputOf<typeof portionInput>;

/** A plan of a year, or of any span: which portion goes on which area on which day. */
export const planInput = z.object({
  name: text,
  fromDay: text,
  toDay: text,
  /** Id of the rules that it is held against; empty: the label alone. And of those that hold on some sites in place of them. */
  ruleSet: idOrNone,
  rulesOn: z.array(z.object({ site: z.uuid(), ruleSet: idOrNone })).max(200),
  portions: z
    .array(portionInput)
    .max(MAX_PORTIONS)
    .refine(ownIds, { params: { sentence: message('errors.ownIds') } }),
  notes,
});
export type PlanInput = InputOf<typeof planInput>;

/**
 * A plan with nothing in it.
 *
 * @param span its first and last day, year-month-day
 * @example blankPlan('2027', { from: '2027-01-01', to: '2027-12-31' }).portions // []
 */
export const blankPlan = (
  name: string,
  { from, to }: { readonly from: string; readonly to: string },
): PlanInput => ({ name, fromDay: from, toDay: to, ruleSet: '', rulesOn: [], portions: [], notes: '' });

/**
 * Id of the rules that hold on a site: its own, else those of the plan; empty: the label alone.
 *
 * @param isGone those of the plan are no longer there
 * @example ruleSetOn(blankPlan('2027', { from: '2027-01-01', to: '2027-12-31' }), 's') // ''
 */
export const ruleSetOn = (
  { ruleSet, rulesOn }: Pick<PlanInput, 'ruleSet' | 'rulesOn'>,
  site: string,
  isGone = false,
): string => rulesOn.find((each) => each.site === site)?.ruleSet ?? (isGone ? '' : ruleSet);
