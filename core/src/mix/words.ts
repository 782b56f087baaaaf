import { message, type Message } from '../messages/message.ts';
import { showQuantity } from '../quantities/show.ts';
import type { MassPerAreaUnit } from '../quantities/units.ts';
import type { Miss, MixAnswer } from './findMix.ts';
import type { LeftOut } from './request.ts';

/**
 * Why a product is not in a mix.
 *
 * @example leftOutReason('Rock salt', 'no-price').id // 'mix.leftOut.no-price'
 */
export const leftOutReason = (name: string, reason: LeftOut): Message =>
  message(`mix.leftOut.${reason}`, { name });

/**
 * What is to be said of the search beside the mixes.
 *
 * @example searchNotes(findMix(mixRequest)).length // 1
 */
export function searchNotes({ outcome, options, isCutOff, mixingWouldMeet }: MixAnswer): Message[] {
  const [fewest] = options;
  return [
    ...(outcome === 'met' && fewest?.parts.length === 1 && options.length === 1 ? [message('mix.alone')] : []),
    ...(outcome === 'met' && fewest && fewest.parts.length > 1 ? [message('mix.fewest', { count: fewest.parts.length })] : []),
    ...(isCutOff ? [message('mix.cutOff')] : []),
    ...(mixingWouldMeet ? [message('mix.bothForms')] : []),
  ]; // prettier-ignore
}

/**
 * What is missed, by how much, and why.
 *
 * @example missReason({ nutrient: 'K2O', standing: 'short', kgPerM2: 0.006, because: { kind: 'none-holds-it' } }, 'kg/ha').facts.amount // '60.0 kg / ha'
 */
export function missReason({ nutrient, standing, kgPerM2, because }: Miss, unit: MassPerAreaUnit): Message {
  const { number, unit: symbol } = showQuantity(kgPerM2, unit);
  const why =
    because.kind === 'none-holds-it'
      ? message('mix.why.noneHoldsIt')
      : because.limits.length > 0
        ? message('mix.why.heldBack', { limits: because.limits })
        : message('mix.why.notTogether');
  const amount = `${number} ${symbol}`;
  return message('mix.miss', { nutrient: message(`kinds.nutrient.${nutrient}`), standing, amount, why });
}
