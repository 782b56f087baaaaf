import { sites } from '@steady-scatter/contract';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Sites, each with its measured areas. */
export const SITES = documentKind(sites);

/** All sites of the crew. */
export const useSites = () => useDocs(SITES);
