import type { Nutrient } from './nutrients.ts';

/** Nutrients of the ledger: phosphorus and potassium in their oxide form, as caps and labels state them. */
export const LEDGER_NUTRIENTS = [
  'N',
  'P2O5',
  'K2O',
  'S',
  'Ca',
  'Mg',
  'Fe',
] as const satisfies readonly Nutrient[];
export type LedgerNutrient = (typeof LEDGER_NUTRIENTS)[number];

/**
 * The nutrient as the ledger counts it: phosphorus and potassium as oxides.
 *
 * @example ledgerForm('P') // 'P2O5'
 */
export const ledgerForm = (nutrient: Nutrient): LedgerNutrient =>
  nutrient === 'P' ? 'P2O5' : nutrient === 'K' ? 'K2O' : nutrient;
