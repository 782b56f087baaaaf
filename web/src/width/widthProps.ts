import { showQuantity, type WidthTestTyped } from '@steady-scatter/core';
import type { WidthOnScreen } from './useWidth.ts';

/** What each part of the answer is given. */
export interface WidthProps {
  readonly typed: WidthTestTyped;
  readonly on: WidthOnScreen;
  onChange(typed: WidthTestTyped): void;
}

/** A spacing in the unit of the trays. */
export function lengthText(m: number, { layout }: WidthTestTyped): string {
  const { number, unit } = showQuantity(m, layout.unit, 3);
  return `${number} ${unit}`;
}
