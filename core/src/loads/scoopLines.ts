import { textWithUnit } from '../quantities/show.ts';
import { showExact, showNumber, showQuantity } from '../quantities/show.ts';
import type { MassUnit } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import type { ScoopResult } from './scoop.ts';
import type { ScoopInput } from './scoopInput.ts';

const scoopWords = ({ name }: ScoopInput): string => name.trim() || 'my scoop';

/**
 * One scoop as weighed: mean of the net weighings and, from two on, how much they scatter.
 *
 * @example workingText(scoopLine(evaluateScoop({ name: 'red', tare: '0.2', weighings: ['1.05', '1.04', '1.06'], unit: 'lb' }, 'scoop').reading, { name: 'red', tare: '0.2', weighings: ['1.05', '1.04', '1.06'], unit: 'lb' })) // '( 1.05 lb + 1.04 lb + 1.06 lb ) ÷ 3 − 0.2 lb = 0.850 lb scatter 1.2 %'
 */
export function scoopLine({ meanKg, scatter }: ScoopResult, input: ScoopInput): Working {
  const weighed = input.weighings.filter((text) => text.trim() !== '');
  const measured = (role: string, text: string) => term(role, { number: textWithUnit(text, input.unit), unit: '' }, { origin: 'measured' }); // prettier-ignore
  const sum = weighed.flatMap((text, at) => [...(at > 0 ? [operator('+')] : []), measured(`weighing.${at}`, text)]); // prettier-ignore
  const mean = weighed.length > 1 ? [word('('), ...sum, word(')'), operator('÷'), term('weighings', { number: String(weighed.length), unit: '' })] : sum; // prettier-ignore
  const tare = input.tare.trim() === '' ? [] : [operator('−'), measured('tare', input.tare)];
  return {
    id: 'scoop',
    label: 'One scoop',
    parts: [
      ...mean,
      ...tare,
      operator('='),
      term('scoop', showQuantity(meanKg, input.unit), { strong: true }),
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
 * @example workingText(inScoops(11.2, 'kg', { netKg: [0.4], meanKg: 0.4, scatter: null }, { name: '', tare: '', weighings: ['0.4'], unit: 'kg' })) // '11.2 kg ÷ 0.400 kg = 28.0 scoops with my scoop'
 */
export function inScoops(massKg: number, unit: MassUnit, reading: ScoopResult, input: ScoopInput): Working {
  const scoops = massKg / reading.meanKg;
  return {
    id: 'scoops',
    label: 'In scoops',
    parts: [
      term('total.amount', showQuantity(massKg, unit)),
      operator('÷'),
      term('scoop', showQuantity(reading.meanKg, input.unit), { origin: 'measured' }),
      operator('='),
      term('scoops', { number: showNumber(scoops, 3), unit: scoops === 1 ? 'scoop' : 'scoops' }, { strong: true, unrounded: showNumber(scoops, 7) }), // prettier-ignore
      word(`with ${scoopWords(input)}`),
    ],
  };
}
