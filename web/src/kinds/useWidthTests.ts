import { widthTests } from '@steady-scatter/contract';
import type { WidthTestInput } from '@steady-scatter/core/width';
import { useDocs, type Doc } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** How far machines throw, and how far apart to pass. */
export const WIDTH_TESTS = documentKind(widthTests);

/** All width tests of the crew. */
export const useWidthTests = () => useDocs(WIDTH_TESTS);

/** The test whose spacing was accepted for a machine last; trim passes have one of their own. */
export const latestAccepted = (
  tests: readonly Doc<WidthTestInput>[],
  rig: string,
): Doc<WidthTestInput> | undefined =>
  tests
    .filter(({ input }) => rig !== '' && input.rig === rig && input.accepted && !input.deflector)
    .toSorted((a, b) => (b.input.accepted?.onDay ?? '').localeCompare(a.input.accepted?.onDay ?? ''))[0];
