import { guides } from '@steady-scatter/contract';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Rate guides for winter. */
export const GUIDES = documentKind(guides);

/** All rate guides of the crew. */
export const useGuides = () => useDocs(GUIDES);
