import { widthTests } from '@steady-scatter/contract';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** How far machines throw, and how far apart to pass. */
export const WIDTH_TESTS = documentKind(widthTests);

/** All width tests of the crew. */
export const useWidthTests = () => useDocs(WIDTH_TESTS);
