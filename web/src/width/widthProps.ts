import { showQuantity } from '@steady-scatter/core/quantities';
import type { WidthTestInput } from '@steady-scatter/core/width';
import type { DocFormProps } from '../documents/DocPage.tsx';
import type { WidthOnScreen } from './useWidth.ts';

/** What each part of the answer is given. */
export interface WidthProps extends DocFormProps<WidthTestInput> {
  readonly on: WidthOnScreen;
}

/** A spacing in the unit of the trays. */
export function lengthText(m: number, { layout }: WidthTestInput): string {
  const { number, unit } = showQuantity(m, layout.unit, 3);
  return `${number} ${unit}`;
}
