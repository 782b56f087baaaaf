import { message, type Message } from '../messages/message.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { fromSi } from '../quantities/convert.ts';
import {
  showExact,
  showNumber,
  showQuantity,
  showWithUncertainty,
  type DisplayValue,
} from '../quantities/show.ts';
import { UNITS, type AreaUnit, type LengthUnit } from '../quantities/units.ts';
import { operator, term, word, type Term, type Working } from '../working/working.ts';
import type { PartInput } from './parts.ts';
import type { SiteAreaResult } from './site.ts';
import type { SiteAreaInput } from './siteInput.ts';

/** More lengths than these are counted, not listed. */
const MAX_LISTED = 5;

/**
 * A part as somebody would call it out.
 *
 * @example speak(partName(rectangle('p', '62', '38'))) // '62 × 38 ft'
 */
export function partName(part: PartInput): Message | string {
  if (part.kind === 'boundary') return part.from || message('ground.boundary');
  const shape = message(`kinds.shape.${part.kind}`);
  const lengths = part.lengths.map((length) => length.trim()).filter((length) => length !== '');
  const unit = part.by === 'paces' ? message('ground.paces') : UNITS[part.unit].symbol;
  if (lengths.length === 0) return shape;
  if (lengths.length > MAX_LISTED)
    return message('ground.manyLengths', { shape, count: lengths.length, unit });
  const bare = lengths.every((length) => isBareNumber(length));
  const listed = lengths.join(' × ');
  const size = bare ? message('ground.lengths', { listed, unit }) : listed;
  return part.kind === 'rectangle' ? size : message('ground.shapeOf', { shape, size });
}

/**
 * A size with its band where one is known (0: not), to the figures that they support.
 *
 * @example showSize(266.3, 4.9, 'ft2') // { number: '2 870', band: '50', unit: 'ft²' }
 */
export const showSize = (areaM2: number, bandM2: number, unit: AreaUnit): DisplayValue =>
  bandM2 > 0 && bandM2 < areaM2
    ? showWithUncertainty(areaM2, bandM2, unit)
    : { number: showExact(fromSi(areaM2, unit), 4), unit: UNITS[unit].symbol };

/**
 * A length of the ground in a unit: up to four figures.
 *
 * @example showLength(18.9, 'ft').number // '62.01'
 */
export const showLength = (m: number, unit: LengthUnit): DisplayValue => ({
  number: showExact(fromSi(m, unit), 4),
  unit: UNITS[unit].symbol,
});

/** More parts than these are added up on each side of the line; the list has them one by one. */
const MAX_TERMS = 8;

interface Sized {
  readonly part: PartInput;
  readonly areaM2: number;
}

const partTerm = ({ part, areaM2 }: Sized, unit: AreaUnit): Term =>
  term(`part.${part.id}`, showSize(areaM2, 0, unit), {
    unrounded: message('ground.measured', {
      part: partName(part),
      how: message(part.kind === 'boundary' ? 'ground.fromFile' : `kinds.measuredBy.${part.by}`),
    }),
    origin: part.kind !== 'boundary' && part.by === 'estimate' ? 'estimated' : 'measured',
  });

/** The parts as they add up: each by itself, or all that adds and all that is cut out. */
function partsInLine(sized: readonly Sized[], unit: AreaUnit): Working['parts'] {
  if (sized.length <= MAX_TERMS)
    return sized.flatMap((each, index) =>
      (index > 0 || each.part.cut ? [operator(each.part.cut ? '−' : '+')] : ([] as Working['parts'])).concat(
        partTerm(each, unit),
      ),
    );
  const side = (cut: boolean): Working['parts'] => {
    const those = sized.filter(({ part }) => part.cut === cut);
    const sum = those.reduce((total, { areaM2 }) => total + areaM2, 0);
    const shown = term(cut ? 'cuts' : 'added', showSize(sum, 0, unit), { origin: 'measured' });
    const told = word(message(cut ? 'working.inCuts' : 'working.inParts', { count: those.length }));
    if (those.length === 0) return [];
    return cut ? [operator('−'), shown, told] : [shown, told];
  };
  return [...side(false), ...side(true)];
}

/** A band wider than this share of an area is worth a better measurement. */
const WIDE_BAND = 0.1;

/**
 * What an area comes to in a sentence: what is still missing, or what its band means.
 *
 * @example areaAdvice(lawn, evaluateSiteArea(lawn, paces, 'areas.0')).id // 'ground.advice.band'
 */
export function areaAdvice(
  area: SiteAreaInput,
  { errors, treatableM2, measured, buffers }: SiteAreaResult,
): Message {
  const wrong = errors.length;
  if (wrong > 0) return message('ground.advice.wrong', { count: wrong });
  if (treatableM2 === null) return message('ground.advice.first');
  if (!area.treated) return message('ground.advice.notTreated');
  const share = measured.bandM2 / treatableM2;
  if (share > WIDE_BAND) return message('ground.advice.wide', { percent: showNumber(share * 100, 2) });
  if (buffers.areaM2 > 0) return message('ground.advice.buffers');
  return share > 0 ? message('ground.advice.band') : message('ground.advice.boundaryBand');
}

/**
 * How an area was measured: each part added or taken off, what buffers hold back, what is left to treat.
 *
 * @example measuredLine(lawn, evaluateSiteArea(lawn, paces, 'areas.0')).label // { id: 'working.sumSheet' }
 */
export function measuredLine(area: SiteAreaInput, reading: SiteAreaResult): Working {
  const { measured, buffers, treatableM2 } = reading;
  const unit = area.shownIn;
  const sized = area.parts.flatMap((part, index) => {
    const { areaM2 } = measured.parts[index]!;
    return areaM2 === null ? [] : [{ part, areaM2 }];
  });
  const overlaps = measured.clipped ? [word(message('working.overlaps'))] : [];
  const heldBack = buffers.areaM2 > 0;
  const size = (role: string, m2: number | null, strong: boolean) =>
    term(role, m2 === null ? null : showSize(m2, measured.bandM2, unit), {
      strong,
      unrounded: m2 === null ? null : `${showNumber(fromSi(m2, unit), 7)} ${UNITS[unit].symbol}`,
      origin: 'measured',
    });
  return {
    id: 'measured',
    label: message(area.layoutMode === 'sum' ? 'working.sumSheet' : 'working.placed'),
    parts: [
      ...partsInLine(sized, unit),
      ...overlaps,
      operator('='),
      size('area', measured.areaM2, !heldBack),
      ...(heldBack
        ? [
            operator('−' as const),
            term('heldBack', showQuantity(buffers.areaM2, unit, 3)),
            word(message('working.withinBuffers')),
            operator('=' as const),
            size('treatable', treatableM2, true),
          ]
        : []),
    ],
  };
}
