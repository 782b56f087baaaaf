import { NUTRIENTS } from '../need/nutrients.ts';
import { showQuantity } from '../quantities/show.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import type { Miss, MixAnswer } from './findMix.ts';
import type { LeftOut } from './request.ts';

/** Why a product is not in a mix, as a sentence goes on: "Rock salt has no analysis …". */
export const LEFT_OUT_WORDS: Readonly<Record<LeftOut, string>> = {
  'no-analysis': 'has no grade on its label',
  'no-density': 'is a liquid without a density',
  'no-price': 'has no price or no package size',
  'brings-unwanted': 'brings something of which none may be put down',
};

/**
 * What is to be said of the search beside the mixes.
 *
 * @example searchNotes(findMix(mixRequest)).length // 1
 */
export function searchNotes({ outcome, options, isCutOff, mixingWouldMeet }: MixAnswer): string[] {
  const [fewest] = options;
  return [
    ...(outcome === 'met' && fewest?.parts.length === 1 && options.length === 1 ? ['One product does it alone.'] : []),
    ...(outcome === 'met' && fewest && fewest.parts.length > 1 ? [`No mix of fewer than ${fewest.parts.length} products meets the needs.`] : []),
    ...(isCutOff ? ['Mixes of three were looked for among the most promising products only: a cheaper three may exist. Tick fewer products to look at all of them.'] : []),
    ...(mixingWouldMeet ? ['A mix of dry and liquid products would meet every need. They go out of different machines.'] : []),
  ]; // prettier-ignore
}

/**
 * What is missed, by how much, and why.
 *
 * @example missInWords({ nutrient: 'K2O', standing: 'short', kgPerM2: 0.006, because: { kind: 'none-holds-it' } }, 'kg/ha') // 'Potash stays 60.0 kg / ha short: no product that can be used holds it.'
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
