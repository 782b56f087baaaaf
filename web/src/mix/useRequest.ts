import { evaluateMix, type MixRequest, type MixInput } from '@steady-scatter/core/mix';
import { mixLimits, evaluateRuleSet } from '@steady-scatter/core/regulations';
import { evaluateProduct, type ProductInput } from '@steady-scatter/core/products';
import { useMemo } from 'react';
import { useDocs, type Doc } from '../documents/docs.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { today } from '../ui/today.ts';

/** Everything that the search is made from, or null while it cannot start. */
export function useRequest(input: MixInput, shelf: readonly Doc<ProductInput>[]) {
  const { data: sets = [] } = useDocs(RULE_SETS);
  const reading = useMemo(() => evaluateMix(input), [input]);
  const chosen = sets.find(({ id }) => id === input.ruleSetId);
  const request = useMemo((): MixRequest | null => {
    if (reading.errors.length > 0 || reading.needs.every(({ kgPerM2 }) => kgPerM2 === 0)) return null;
    const { rules } = chosen ? evaluateRuleSet(chosen.input) : { rules: [] };
    const limits = mixLimits(rules, today(), input.soilTestDay, reading.soFar);
    return {
      products: shelf
        .filter(({ id }) => !input.unticked.includes(id))
        .map(({ id, input: label }) => ({ id, name: label.name, product: evaluateProduct(label) })),
      needs: reading.needs,
      tolerance: reading.tolerance,
      ...limits,
      caps: [...limits.caps, ...reading.caps],
      mixesForms: input.mixesForms,
      fromStockForM2: input.fromStock ? reading.areaM2 : null,
    };
  }, [reading, chosen, shelf, input]);
  return { reading, sets, request };
}
