import { message } from '../messages/message.ts';
import type { MixRequest } from '../mix/request.ts';
import type { SoFar } from '../need/soFar.ts';
import { yearsBetween } from '../fields/days.ts';
import { earlier } from './earlier.ts';
import { holdsOn, type RuleResult } from './rules.ts';

/**
 * What the crew's rules leave open for a mix that is put down at once: caps less what was put down before, the limit on
 * quick nitrogen, the floor of the slow share; no phosphorus without a soil test that is young enough.
 *
 * @param soilTestDay day of the latest soil test; empty: none
 * @example mixLimits(evaluateRuleSet(townRules).rules, '2026-04-18', '', []).caps // [{ nutrient: 'N', kgPerM2: 0.00488, because: { id: 'checks.rule.most-at-once' } }]
 */
export function mixLimits(
  rules: readonly RuleResult[],
  onDay: string,
  soilTestDay: string,
  soFar: readonly SoFar[],
): Pick<MixRequest, 'caps' | 'quickCap' | 'slowFloor'> {
  const held = rules.filter((rule) => holdsOn(rule, onDay));
  const caps = held.flatMap(({ input: { kind, nutrient }, limit }): MixRequest['caps'][number][] => {
    const because = message(`checks.rule.${kind}`, { nutrient: message(`kinds.nutrient.${nutrient}`) });
    if (kind === 'most-at-once') return [{ nutrient, kgPerM2: limit, because }];
    if (kind === 'most-in-a-year') {
      const before = earlier(soFar, nutrient);
      return [{ nutrient, kgPerM2: Math.max(0, limit - before), because }];
    }
    if (kind !== 'soil-test') return [];
    const age = soilTestDay === '' ? Infinity : yearsBetween(soilTestDay, onDay);
    if (age >= 0 && age < limit) return [];
    return [{ nutrient: 'P2O5', kgPerM2: 0, because: message('checks.soilTest', { years: limit }) }];
  });
  const limitsOf = (kind: 'quick-nitrogen' | 'slow-share') =>
    held.flatMap((rule) => (rule.input.kind === kind ? [rule.limit] : []));
  const [quick, slow] = [limitsOf('quick-nitrogen'), limitsOf('slow-share')];
  return {
    caps,
    quickCap: quick.length === 0 ? null : Math.min(...quick),
    slowFloor: slow.length === 0 ? null : Math.max(...slow),
  };
}
