import { message, type Message } from '../messages/message.ts';
import { textWithUnit } from '../quantities/show.ts';
import { showExact, showNumber, showQuantity } from '../quantities/show.ts';
import type { MassUnit } from '../quantities/units.ts';
import { bracket, operator, term, word, type Working } from '../working/working.ts';
import type { ScoopResult } from './scoop.ts';
import type { ScoopInput } from './scoopInput.ts';

const scoopName = ({ name }: ScoopInput): Message | string => name.trim() || message('working.myScoop');

/**
 * One scoop as weighed: mean of the net weighings and, from two on, how much they scatter.
 *
 * @example workingText(scoopLine(evaluateScoop({ name: 'red', tare: '0.2', weighings: ['1.05', '1.04', '1.06'], unit: 'lb' }, 'scoop').reading, { name: 'red', tare: '0.2', weighings: ['1.05', '1.04', '1.06'], unit: 'lb' }), speak) // '( 1.05 lb + 1.04 lb + 1.06 lb ) ÷ 3 − 0.2 lb = 0.850 lb scatter 1.2 %'
 */
export function scoopLine({ meanKg, scatter }: ScoopResult, input: ScoopInput): Working {
  const weighed = input.weighings.filter((text) => text.trim() !== '');
  const measured = (role: string, text: string) => term(role, { number: textWithUnit(text, input.unit), unit: '' }, { origin: 'measured' }); // prettier-ignore
  const sum = weighed.flatMap((text, index) => [...(index > 0 ? [operator('+')] : []), measured(`weighing.${index}`, text)]); // prettier-ignore
  const mean = weighed.length > 1 ? [bracket('('), ...sum, bracket(')'), operator('÷'), term('weighings', { number: String(weighed.length), unit: '' })] : sum; // prettier-ignore
  const tare = input.tare.trim() === '' ? [] : [operator('−'), measured('tare', input.tare)];
  return {
    id: 'scoop',
    label: message('working.oneScoop'),
    parts: [
      ...mean,
      ...tare,
      operator('='),
      term('scoop', showQuantity(meanKg, input.unit), { strong: true }),
      ...(scatter === null
        ? []
        : [
            word(message('working.scatter'), 'stop'),
            term('scatter', { number: showExact(scatter * 100, 2), unit: '%' }),
          ]),
    ],
  };
}

/**
 * A mass in scoops: `mass / scoop`, with halves and quarters left to the eye.
 *
 * @param massKg above 0
 * @param unit the unit that the mass is shown in
 * @example workingText(inScoops(11.2, 'kg', { netKg: [0.4], meanKg: 0.4, scatter: null }, { name: '', tare: '', weighings: ['0.4'], unit: 'kg' }), speak) // '11.2 kg ÷ 0.400 kg = 28.0 scoops with my scoop'
 */
export function inScoops(massKg: number, unit: MassUnit, reading: ScoopResult, input: ScoopInput): Working {
  const scoops = massKg / reading.meanKg;
  return {
    id: 'scoops',
    label: message('working.inScoops'),
    parts: [
      term('total.amount', showQuantity(massKg, unit)),
      operator('÷'),
      term('scoop', showQuantity(reading.meanKg, input.unit), { origin: 'measured' }),
      operator('='),
      term('scoops', { number: showNumber(scoops, 3), unit: '' }, { of: message('working.scoopCount', { count: scoops }), strong: true, unrounded: showNumber(scoops, 7) }), // prettier-ignore
      word(message('working.with', { name: scoopName(input) })),
    ],
  };
}
