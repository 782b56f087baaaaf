import { InputError } from '../errors/InputError.ts';
import { finite } from '../errors/preconditions.ts';
/**
 * Oxide and elemental forms by molar mass: 2 P / P2O5 and 2 K / K2O with the standard atomic weights
 * P 30.974, K 39.098, O 15.999 (IUPAC), to the six places that labels and laws use.
 */
const ELEMENTAL_SHARE = { P2O5: 0.436427, K2O: 0.830151 } as const;

/** What a need or a label can be stated in. `oxide` names the oxide form of an element; `symbol` is for show. */
export const NUTRIENTS = {
  N: { symbol: 'N' },
  P2O5: { symbol: 'P₂O₅', elementalShare: ELEMENTAL_SHARE.P2O5, otherForm: 'P' },
  K2O: { symbol: 'K₂O', elementalShare: ELEMENTAL_SHARE.K2O, otherForm: 'K' },
  P: { symbol: 'P', elementalShare: 1, otherForm: 'P2O5' },
  K: { symbol: 'K', elementalShare: 1, otherForm: 'K2O' },
  S: { symbol: 'S' },
  Ca: { symbol: 'Ca' },
  Mg: { symbol: 'Mg' },
  Fe: { symbol: 'Fe' },
} as const;

/** A nutrient in the form it is stated in. */
export type Nutrient = keyof typeof NUTRIENTS;

/** Every nutrient, in the order of a label. */
export const NUTRIENT_IDS = Object.keys(NUTRIENTS) as Nutrient[];

/**
 * The same element in its other form: oxide for elemental, elemental for oxide; null where there is one form.
 *
 * @example otherForm('P2O5') // 'P'
 */
export function otherForm(nutrient: Nutrient): Nutrient | null {
  const entry = NUTRIENTS[nutrient];
  return 'otherForm' in entry ? entry.otherForm : null;
}

/**
 * A mass stated in one form, in the other: `P = 0.436427 P2O5`, `K = 0.830151 K2O`.
 *
 * @param amount mass, or mass per area, of `from`
 * @param from the form it is stated in
 * @param to the same form or the other form of the same element
 * @throws InputError nutrient.other-element, number.unusable
 * @example inForm(1, 'K2O', 'K') // 0.830151
 */
export function inForm(amount: number, from: Nutrient, to: Nutrient): number {
  if (from === to) return finite(amount);
  if (otherForm(from) !== to) throw new InputError('nutrient.other-element', { field: 'to', from, to });
  return finite((amount * shareOf(from)) / shareOf(to));
}

function shareOf(nutrient: Nutrient): number {
  const entry = NUTRIENTS[nutrient];
  return 'elementalShare' in entry ? entry.elementalShare : 1;
}
