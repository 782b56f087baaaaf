import { showQuantity } from '@steady-scatter/core/quantities';
import type { WidthTestInput } from '@steady-scatter/core/width';
import type { WidthOnScreen } from './useWidth.ts';

/** What each part of the answer is given. */
export interface WidthProps {
  readonly input: WidthTestInput;
  readonly on: WidthOnScreen;
  onChange(input: WidthTestInput): void;
}

/** A spacing in the unit of the trays. */
export function lengthText(m: number, { layout }: WidthTestInput): string {
  const { number, unit } = showQuantity(m, layout.unit, 3);
  return `${number} ${unit}`;
}
