import { message, type Message } from '../messages/message.ts';
import { daysApart } from '../fields/days.ts';
import { showExact, showQuantity } from '../quantities/show.ts';
import type { RateUnit } from '../products/product.ts';
import { operator, term, word, type Term, type Working } from '../working/working.ts';
import { portionDays } from './portions.ts';
import { capCheck, standing, type RuleCheck, type RuleFacts, type Standing } from './standing.ts';

/** The label's range of spray volume: less mix scorches, more runs off. */
export function checkSpray({ product, mixPerM2 }: RuleFacts): RuleCheck[] {
  const { carrierLow, carrierHigh } = product;
  if (mixPerM2 === null || (carrierLow === null && carrierHigh === null)) return [];
  const rule = message('checks.label.carrier');
  const of = (role: string, si: number, origin: Term['origin'] = 'computed') => term(role, showQuantity(si, 'L/ha'), { origin }); // prettier-ignore
  const ends = [carrierLow, carrierHigh].flatMap((si) => (si === null ? [] : [si]));
  const parts = [of('mix', mixPerM2), word(message('working.ofAtLeast'), 'stop'), ...ends.flatMap((si, index) => [...(index > 0 ? [word(message('working.andAtMost'), 'stop')] : []), of(`limit.${index}`, si, 'label')])]; // prettier-ignore
  const short = carrierLow === null ? 0 : carrierLow - mixPerM2;
  const over = carrierHigh === null ? 0 : mixPerM2 - carrierHigh;
  const off = Math.max(short, over);
  const isKept = off <= Math.max(...ends) * 1e-9;
  return [{ id: 'label.carrier', rule, working: { id: 'label.carrier', label: rule, parts }, ...(isKept ? standing('kept') : standing('broken', { overBy: showQuantity(off, 'L/ha') })) }]; // prettier-ignore
}

/** The label's least days between two applications: between the portions, and to what else goes on the same ground. */
export function checkInterval(facts: RuleFacts): RuleCheck[] {
  const least = facts.product.leastIntervalDays;
  if (least === null || least <= 0) return [];
  const rule = message('checks.label.interval');
  const days = (role: string, count: number, strong = false) => term(role, { number: showExact(count), unit: '' }, { of: message('working.days', { count }), strong }); // prettier-ignore
  const check = (id: string, parts: Working['parts'], how: Standing): RuleCheck => ({ id, rule, working: { id, label: rule, parts }, ...how }); // prettier-ignore
  const atLeast = [word(message('working.apartAtLeast')), days('limit', least, true)];
  const broken = (apart: number, daysNeeded: number | null) => standing('broken', { overBy: { number: showExact(least - apart), unit: '', of: message('working.days', { count: least - apart }) }, daysNeeded }); // prettier-ignore
  const own = (): RuleCheck[] => {
    const { portions, everyDays } = facts;
    if (portions < 2) return [];
    if (everyDays === null) return [check('label.interval', [word(message('working.apartNotSaid')), ...atLeast.slice(1)], standing('unknown', { daysNeeded: least }))]; // prettier-ignore
    return [check('label.interval', [word(message('working.portions')), days('apart', everyDays), ...atLeast], everyDays >= least ? standing('kept') : broken(everyDays, least))]; // prettier-ignore
  };
  const planned = portionDays(facts.onDay, facts.portions, facts.everyDays);
  const before = facts.done.flatMap(({ onDay, isSameProduct }, index): RuleCheck[] => {
    const apart = Math.min(...planned.map((day) => daysApart(day, onDay)));
    if (!(apart < least)) return [];
    const parts = [word(message('working.doneOn', { day: onDay })), days('apart', apart), ...atLeast];
    return [
      check(`label.interval.done.${index}`, parts, isSameProduct ? broken(apart, null) : standing('unknown')),
    ];
  });
  const beside = facts.others.flatMap(({ name, days: theirs, isSameProduct }, index): RuleCheck[] => {
    const apart = Math.min(...planned.flatMap((day) => theirs.map((other) => daysApart(day, other))));
    if (!(apart < least)) return [];
    const parts = [word(message('working.sameGround', { name })), days('apart', apart), ...atLeast];
    return [
      check(`label.interval.${index}`, parts, isSameProduct ? broken(apart, null) : standing('unknown')),
    ];
  });
  return [...own(), ...before, ...beside];
}

/** The label's own limits, held against the same facts. */
export function checkLabel({ product, rateSi, portions, beforeSi }: RuleFacts, unit: RateUnit): RuleCheck[] {
  const { labelHigh, mostAtOnce, mostPerYear } = product;
  const check = (id: string, rule: Message, limit: number | null, value: number, perPortion: boolean, before = 0) =>
    limit === null
      ? []
      : [capCheck({ id, rule, parts: [...(before > 0 ? [term('before', showQuantity(before, unit)), word(message('working.soFar')), operator('+')] : []), term('rate', showQuantity(value, unit)), ...(before > 0 ? [operator('='), term('sum', showQuantity(before + value, unit))] : [])], value, before, limit, unit, symbol: '', perPortion }, portions)]; // prettier-ignore
  return [
    ...check(
      'label.at-once',
      message('checks.label.atOnce'),
      mostAtOnce ?? labelHigh,
      rateSi / portions,
      true,
    ),
    ...check('label.year', message('checks.label.year'), mostPerYear, rateSi, false, beforeSi),
  ];
}
