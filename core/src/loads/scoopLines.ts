import { showExact, showNumber, showQuantity } from '../quantities/show.ts';
import type { MassUnit } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import type { ScoopReading, ScoopTyped } from './scoop.ts';

const scoopWords = ({ name }: ScoopTyped): string => name.trim() || 'my scoop';

/**
 * One scoop as weighed: mean of the net weighings and, from two on, how much they scatter.
 *
 * @example workingText(scoopLine(reading, typed)) // '3 weighings less the empty scoop = 0.850 lb each scatter 2.1 %'
 */
export function scoopLine({ netKg, meanKg, scatter }: ScoopReading, typed: ScoopTyped): Working {
  return {
    id: 'scoop',
    label: 'One scoop',
    parts: [
      term('weighings', { number: String(netKg.length), unit: netKg.length === 1 ? 'weighing' : 'weighings' }, { origin: 'measured' }), // prettier-ignore
      word('less the empty scoop'),
      operator('='),
      term('scoop', showQuantity(meanKg, typed.unit), { strong: true }),
      word('each'),
      ...(scatter === null
        ? []
        : [word('scatter'), term('scatter', { number: showExact(scatter * 100, 2), unit: '%' })]),
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
export function inScoops(massKg: number, unit: MassUnit, reading: ScoopReading, typed: ScoopTyped): Working {
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
