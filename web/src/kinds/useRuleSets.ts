import { ruleSets } from '@steady-scatter/contract';
import { documentKind } from '../documents/documentKind.ts';

/** Sets of rules, one for each place that the crew works in. */
export const RULE_SETS = documentKind(ruleSets);
