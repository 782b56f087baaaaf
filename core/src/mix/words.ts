import { NUTRIENTS } from '../need/nutrients.ts';
import { showQuantity } from '../quantities/show.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import type { Miss, NoFewer } from './findMix.ts';
import type { LeftOut } from './request.ts';

/** Why a product is not in a mix, as a sentence goes on: "Rock salt has no analysis …". */
export const LEFT_OUT_WORDS: Readonly<Record<LeftOut, string>> = {
  'no-analysis': 'has no grade on its label',
  'no-density': 'is a liquid without a density',
  'no-price': 'has no price or no package size',
  'brings-unwanted': 'brings something of which none may be put down',
};

/** Why there is no mix with one product fewer. */
export const NO_FEWER_WORDS: Readonly<Record<NoFewer, string>> = {
  'already-one': 'One product does it alone.',
  'none-meets': 'No mix of fewer products meets the needs.',
  'gave-up': 'Whether fewer products would do was not found in the time for it; tick fewer products.',
  'not-looked': '',
};

/**
 * What is missed, by how much, and why.
 *
 * @example missInWords(miss, 'kg/ha') // 'Potash stays 60.0 kg / ha short: no product that can be used holds it.'
 */
export function missInWords({ nutrient, standing, kgPerM2, because }: Miss, unit: MassPerAreaUnit): string {
  const { name } = NUTRIENTS[nutrient];
  const { number, unit: symbol } = showQuantity(kgPerM2, unit);
  const by = standing === 'short' ? `stays ${number} ${symbol} short` : `goes ${number} ${symbol} over`;
  const why =
    because.kind === 'none-holds-it'
      ? 'no product that can be used holds it'
      : because.limits.length > 0
        ? `held back by ${because.limits.join(', and by ')}`
        : 'the products at hand do not go together';
  return `${name[0]!.toUpperCase()}${name.slice(1)} ${by}: ${why}.`;
}
