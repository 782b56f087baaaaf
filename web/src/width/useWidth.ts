import {
  patternOf,
  evaluateTrays,
  evaluateWidthTest,
  type Pattern,
  type WidthResult,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { useDeferredValue, useMemo } from 'react';
import { useWidthTests } from '../kinds/useWidthTests.ts';

/** A width test as worked out: the trays at each keystroke, the sweep as soon as there is time for it. */
export interface WidthOnScreen {
  readonly reading: WidthResult;
  /** The pattern of the test that this one is held against, before something was changed. */
  readonly before: { readonly name: string; readonly pattern: Pattern } | null;
}

/** What the trays are read from: a change of anything else does not sweep again. */
function useTrays(input: WidthTestInput) {
  const { layout, tray, passes, kind, unit, scaleStep, rows, confirmed } = input;
  // The fields that count are the dependencies; what they are read with is the whole test.
  // oxlint-disable-next-line react/exhaustive-deps
  return useMemo(() => evaluateTrays(input), [layout, tray, passes, kind, unit, scaleStep, rows, confirmed]);
}

export function useWidth(input: WidthTestInput): WidthOnScreen {
  const later = useDeferredValue(input);
  const trays = useTrays(later);
  const reading = useMemo(() => evaluateWidthTest(later, trays), [later, trays]);
  const { data: tests } = useWidthTests();
  const other = input.before === '' ? undefined : tests?.find(({ id }) => id === input.before)?.input;
  const before = useMemo(() => {
    const read = other && evaluateTrays(other).trays;
    if (!other || !read || read.length === 0) return null;
    return {
      name: other.name,
      pattern: patternOf(
        read.map(({ xM }) => xM),
        read.map(({ deposit }) => deposit),
      ),
    };
  }, [other]);
  return { reading, before };
}
