import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { daysUntil } from '../fields/days.ts';
import { readDay, readName } from '../fields/heading.ts';
import { message } from '../messages/message.ts';
import { readNeed } from '../need/needField.ts';
import type { PlanInput } from './planInput.ts';

/** Longer plans are two. */
const MAX_DAYS = 800;

export interface PlanResult {
  /** What each portion brings, kg/m2 or L/m2, by its id; one that cannot be read is not there. */
  readonly needs: ReadonlyMap<string, number>;
  readonly errors: readonly InputError[];
}

/**
 * Reads a plan: its span, and each portion's day and amount. A portion lies within the span.
 *
 * @example evaluatePlan(blankPlan('2027', { from: '2027-12-31', to: '2027-01-01' })).errors[0].code // 'plan.ends'
 */
export function evaluatePlan({ name, fromDay, toDay, portions }: PlanInput): PlanResult {
  const { errors, tryRead } = collect();
  tryRead(() => readName(name, 'name', message('errors.example.plan')));
  const from = tryRead(() => readDay(fromDay, 'fromDay'));
  const to = tryRead(() => readDay(toDay, 'toDay'));
  if (from !== null && to !== null && to < from) errors.push(new InputError('plan.ends', { field: 'toDay', hint: from })); // prettier-ignore
  else if (from !== null && to !== null && daysUntil(from, to) > MAX_DAYS) errors.push(new InputError('plan.long', { field: 'toDay', most: MAX_DAYS })); // prettier-ignore
  const needs = new Map<string, number>();
  for (const [at, { id, amount, unit, onDay, areaName }] of portions.entries()) {
    const day = tryRead(() => readDay(onDay, `portions.${at}.onDay`));
    if (day !== null && from !== null && to !== null && (day < from || day > to))
      errors.push(new InputError('plan.outside', { field: `portions.${at}.onDay`, input: day, area: areaName, from, to })); // prettier-ignore
    const need = tryRead(() => readNeed(amount, unit, `portions.${at}.amount`).si);
    if (need !== null) needs.set(id, need);
  }
  return { needs, errors };
}
