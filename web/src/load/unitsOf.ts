import { systemOf } from '@steady-scatter/core/quantities';
import type { WorksheetAnswer, WorksheetInput } from '@steady-scatter/core/worksheet';
import type { RunUnits } from './LoadTable.tsx';
import type { RunOfSheet } from './useRunSheet.ts';

/** What a run sheet is told in: the sheet's own units, and the mix in gallons or litres. */
export function unitsOf(
  { spread }: WorksheetInput,
  { units }: WorksheetAnswer,
  { sheet }: Pick<RunOfSheet, 'sheet'>,
): RunUnits {
  const { unit } = spread.width;
  const mix = systemOf(unit) === 'us' ? 'gal' : 'L';
  return { amount: units.amount, fill: sheet.isMix ? mix : units.amount, length: unit };
}
