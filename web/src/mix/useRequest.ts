import type { Product } from '@steady-scatter/contract';
import { evaluateMix, type MixRequest, type MixInput } from '@steady-scatter/core/mix';
import { mixLimits, evaluateRuleSet } from '@steady-scatter/core/season';
import { evaluateProduct } from '@steady-scatter/core/shelf';
import { useMemo } from 'react';
import { useDocs } from '../documents/docs.ts';
import { RULE_SETS } from '../regulations/useRuleSets.ts';
import { today } from '../ui/today.ts';

/** Everything that the search is made from, or null while it cannot start. */
export function useRequest(typed: MixInput, shelf: readonly Product[]) {
  const { data: sets = [] } = useDocs(RULE_SETS);
  const reading = useMemo(() => evaluateMix(typed), [typed]);
  const chosen = sets.find(({ id }) => id === typed.ruleSetId);
  const request = useMemo((): MixRequest | null => {
    if (reading.errors.length > 0 || reading.needs.every(({ kgPerM2 }) => kgPerM2 === 0)) return null;
    const { rules } = chosen ? evaluateRuleSet(chosen.typed) : { rules: [] };
    const limits = mixLimits(rules, today(), typed.soilTestDay, reading.soFar);
    return {
      products: shelf
        .filter(({ id }) => !typed.unticked.includes(id))
        .map(({ id, typed: label }) => ({ id, name: label.name, product: evaluateProduct(label) })),
      needs: reading.needs,
      tolerance: reading.tolerance,
      ...limits,
      caps: [...limits.caps, ...reading.caps],
      mixesForms: typed.mixesForms,
      fromStockForM2: typed.fromStock ? reading.areaM2 : null,
    };
  }, [reading, chosen, shelf, typed]);
  return { reading, sets, request };
}
