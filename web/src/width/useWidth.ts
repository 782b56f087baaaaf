import {
  patternOf,
  evaluateTrays,
  evaluateWidthTest,
  type Pattern,
  type WidthResult,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { useDeferredValue, useMemo } from 'react';
import { useWidthTests } from './useWidthTests.ts';

/** A width test as worked out: the trays at each keystroke, the sweep as soon as there is time for it. */
export interface WidthOnScreen {
  readonly reading: WidthResult;
  /** The pattern of the test that this one is held against, before something was changed. */
  readonly before: { readonly name: string; readonly pattern: Pattern } | null;
}

/** What the trays are read from: a change of anything else does not sweep again. */
function useTrays(typed: WidthTestInput) {
  const { layout, tray, passes, kind, unit, scaleStep, rows, answers } = typed;
  // The fields that count are the dependencies; what they are read with is the whole test.
  // oxlint-disable-next-line react/exhaustive-deps
  return useMemo(() => evaluateTrays(typed), [layout, tray, passes, kind, unit, scaleStep, rows, answers]);
}

export function useWidth(typed: WidthTestInput): WidthOnScreen {
  const later = useDeferredValue(typed);
  const trays = useTrays(later);
  const reading = useMemo(() => evaluateWidthTest(later, trays), [later, trays]);
  const { data: tests } = useWidthTests();
  const other = typed.before === '' ? undefined : tests?.find(({ id }) => id === typed.before)?.typed;
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
