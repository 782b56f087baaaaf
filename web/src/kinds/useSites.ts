import { sites } from '@steady-scatter/contract';
import { documentKind } from '../documents/documentKind.ts';

/** Sites, each with its measured areas. */
export const SITES = documentKind(sites);
