import { message, type Message } from '../messages/message.ts';
import { daysApart } from '../fields/days.ts';
import { showExact } from '../quantities/show.ts';
import { operator, term, word, type Join, type Term } from '../working/working.ts';
import { portionDays } from './portions.ts';
import { holdsOn, type RuleResult } from './rules.ts';
import { standing, type RuleCheck, type RuleFacts, type Standing } from './standing.ts';

const plain = (role: string, count: number, strong = false): Term => term(role, { number: showExact(count), unit: '' }, { strong }); // prettier-ignore
const daysOf = (role: string, count: number, strong = false): Term => term(role, { number: showExact(count), unit: '' }, { of: message('working.days', { count }), strong }); // prettier-ignore

const check = (id: string, rule: Message, parts: readonly (Term | Join)[], how: Standing): RuleCheck => ({ id, rule, working: { id, label: rule, parts }, ...how }); // prettier-ignore

/** Days of a plan, each portion. */
const daysIn = ({ onDay, portions, everyDays }: RuleFacts): string[] =>
  portionDays(onDay, portions, everyDays);

/** Least days between two applications on the same ground, whatever the products. */
export function checkLeastDays({ input, limit }: RuleResult, facts: RuleFacts): RuleCheck {
  const rule = message('checks.leastDays');
  const planned = daysIn(facts);
  const apart = facts.done.flatMap(({ onDay }) => planned.map((day) => daysApart(day, onDay)));
  const between = facts.portions > 1 && facts.everyDays !== null ? [facts.everyDays] : [];
  const least = Math.min(...apart, ...between);
  if (!Number.isFinite(least)) return check(input.id, rule, [word(message('working.firstHere'))], standing('kept'));
  const parts = [daysOf('apart', least), word(message('working.apartAtLeast')), daysOf('limit', limit, true)];
  if (least >= limit) return check(input.id, rule, parts, standing('kept'));
  const overBy = { number: showExact(limit - least), unit: '', of: message('working.days', { count: limit - least }) };
  return check(input.id, rule, parts, standing('broken', { overBy, daysNeeded: between[0] === least ? limit : null }));
} // prettier-ignore

/** Most applications of one product in a year. */
export function checkTimes({ input, limit }: RuleResult, facts: RuleFacts): RuleCheck {
  const rule = message('checks.times');
  const before = facts.done.filter(({ isSameProduct, isInYear }) => isSameProduct && isInYear).length;
  const sum = before + facts.portions;
  const parts = [plain('before', before), word(message('working.soFar')), operator('+'), plain('portions', facts.portions), operator('='), plain('sum', sum), word(message('working.ofAtMost')), plain('limit', limit, true)];
  return check(input.id, rule, parts, sum <= limit ? standing('kept') : standing('broken', { overBy: { number: showExact(sum - limit), unit: '' } }));
} // prettier-ignore

/** Dates on which nothing is spread: held against the day of each portion. */
export function checkClosed(rule: RuleResult, facts: RuleFacts): RuleCheck {
  const { input } = rule;
  const said = message('checks.closed');
  const hit = daysIn(facts).find((day) => holdsOn(rule, day));
  const parts = [
    word(
      hit
        ? message('working.closedOn', { day: hit, from: input.from, to: input.to })
        : message('working.notClosed', { from: input.from, to: input.to }),
    ),
  ];
  return check(input.id, said, parts, standing(hit ? 'broken' : 'kept'));
}
