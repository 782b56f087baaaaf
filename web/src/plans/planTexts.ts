import { NEED_OF } from '@steady-scatter/core/products';
import { UNITS } from '@steady-scatter/core/quantities';
import type { PortionGroup, PortionInput, PortionState } from '@steady-scatter/core/plan';
import type { RuleCheck } from '@steady-scatter/core/regulations';
import { list, say, speak } from '@steady-scatter/words/plans';
import { dayText } from '../ui/dayText.ts';
import { nearestDay, type PlanView } from './usePlan.ts';
import type { PlannedPortion } from '@steady-scatter/core/plan';

/** "0.8 lb N / 1000 ft²". */
export function needText({
  amount,
  unit,
  nutrient,
}: Pick<PortionInput, 'amount' | 'unit' | 'nutrient'>): string {
  const { symbol } = NEED_OF[nutrient];
  const shown = UNITS[unit].symbol;
  return `${amount} ${symbol === '' ? shown : shown.replace(' /', ` ${symbol} /`)}`;
}

/** "Lake front: Bandstand lawn and Slipway bank". */
export const whereText = ({ portions }: PortionGroup): string =>
  say('plans.where', { site: portions[0]!.siteName, areas: list(portions.map(({ areaName }) => areaName)) });

/** How a group stands: as the least far of its portions. */
export function groupState({ portions }: PortionGroup, { states }: PlanView): PortionState {
  const own = new Set(portions.map(({ id }) => states.get(id)?.state ?? 'ahead'));
  return (['missed', 'held', 'due', 'ahead', 'done'] as const).find((state) => own.has(state))!;
}

/** The same in words, with the day on which it was spread or why it waits. */
export function stateText(group: PortionGroup, view: PlanView): string {
  const state = groupState(group, view);
  const [{ id, hold, why }] = group.portions as [PortionInput];
  if (state === 'held') return say('plans.hold', { hold, why: why.trim() || 'none' });
  if (state === 'done') return say('plans.state.done', { day: dayText(view.states.get(id)?.doneOn ?? '') });
  return say('plans.state', { state });
}

/** What is broken by a group as it stands. */
export const brokenOf = ({ portions }: PortionGroup, { broken }: PlanView): readonly RuleCheck[] =>
  [...new Map(portions.flatMap(({ id }) => broken.get(id) ?? []).map((check) => [check.id, check])).values()]; // prettier-ignore

/** What stands against a day, with the nearest day on which nothing does. */
export function whyText(view: PlanView, portions: readonly PlannedPortion[], day: string, broken: readonly RuleCheck[]): string {
  if (broken.length === 0) return say('plans.drag.kept');
  const near = broken.some(({ mostShare }) => mostShare === null) ? nearestDay(view, portions, day) : null;
  return say('plans.drag.broken', { rules: list([...new Set(broken.map(({ rule }) => speak(rule)))]), near: near === null ? 'none' : dayText(near) });
} // prettier-ignore

/** The portions of a group with what is known of them. */
export const plannedOf = ({ portions }: PortionGroup, { planned }: PlanView): PlannedPortion[] =>
  portions.flatMap(({ id }) => planned.get(id) ?? []);
