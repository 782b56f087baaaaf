import { plans } from '@steady-scatter/contract';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Plans of a year. */
export const PLANS = documentKind(plans);

/** All plans of the crew. */
export const usePlans = () => useDocs(PLANS);
