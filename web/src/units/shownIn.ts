import { showQuantity, type UnitId } from '@steady-scatter/core/quantities';

/** "12.5 lb": a quantity in words. */
export function shownIn(si: number, unit: UnitId, figures = 3): string {
  const { number, unit: symbol } = showQuantity(si, unit, figures);
  return `${number} ${symbol}`;
}
