import type { RuleCheck } from '@steady-scatter/core/regulations';
import { speak } from '@steady-scatter/words/rules';

/** By how much a rule is broken: "0.300 lb N / 1000 ft²", "12 days". */
export const overText = ({ number, unit, of }: NonNullable<RuleCheck['overBy']>): string =>
  [number, unit, of && speak(of)].filter(Boolean).join(' ');
