import { showExact, showNumber, showQuantity } from '../quantities/show.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { UNITS, type MassUnit } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import type { ScoopResult, ScoopInput } from './scoop.ts';

const scoopWords = ({ name }: ScoopInput): string => name.trim() || 'my scoop';

/**
 * One scoop as weighed: mean of the net weighings and, from two on, how much they scatter.
 *
 * @example workingText(scoopLine(reading, typed)) // '( 1.05 lb + 1.04 lb + 1.06 lb ) ÷ 3 − 0.2 lb = 0.850 lb scatter 2.1 %'
 */
export function scoopLine({ meanKg, scatter }: ScoopResult, typed: ScoopInput): Working {
  const withUnit = (text: string) =>
    isBareNumber(text) ? `${text.trim()} ${UNITS[typed.unit].symbol}` : text.trim();
  const weighed = typed.weighings.filter((text) => text.trim() !== '');
  const measured = (role: string, text: string) => term(role, { number: withUnit(text), unit: '' }, { origin: 'measured' }); // prettier-ignore
  const sum = weighed.flatMap((text, at) => [...(at > 0 ? [operator('+')] : []), measured(`weighing.${at}`, text)]); // prettier-ignore
  const mean = weighed.length > 1 ? [word('('), ...sum, word(')'), operator('÷'), term('weighings', { number: String(weighed.length), unit: '' })] : sum; // prettier-ignore
  const tare = typed.tare.trim() === '' ? [] : [operator('−'), measured('tare', typed.tare)];
  return {
    id: 'scoop',
    label: 'One scoop',
    parts: [
      ...mean,
      ...tare,
      operator('='),
      term('scoop', showQuantity(meanKg, typed.unit), { strong: true }),
      ...(scatter === null
        ? []
        : [word('scatter', 'stop'), term('scatter', { number: showExact(scatter * 100, 2), unit: '%' })]),
    ],
  };
}

/**
 * A mass in scoops: `mass / scoop`, with halves and quarters left to the eye.
 *
 * @param massKg above 0
 * @param unit the unit that the mass is shown in
 * @example workingText(inScoops(11.2, 'kg', reading, typed)) // '11.2 kg ÷ 0.85 lb = 29.0 of my scoop'
 */
export function inScoops(massKg: number, unit: MassUnit, reading: ScoopResult, typed: ScoopInput): Working {
  const scoops = massKg / reading.meanKg;
  return {
    id: 'scoops',
    label: 'In scoops',
    parts: [
      term('total.amount', showQuantity(massKg, unit)),
      operator('÷'),
      term('scoop', showQuantity(reading.meanKg, typed.unit), { origin: 'measured' }),
      operator('='),
      term('scoops', { number: showNumber(scoops, 3), unit: scoops === 1 ? 'scoop' : 'scoops' }, { strong: true, unrounded: showNumber(scoops, 7) }), // prettier-ignore
      word(`with ${scoopWords(typed)}`),
    ],
  };
}
