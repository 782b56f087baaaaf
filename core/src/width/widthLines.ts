import { message, type Message } from '../messages/message.ts';
import { requirePositive } from '../errors/preconditions.ts';
import { showExact, showQuantity } from '../quantities/show.ts';
import { UNITS, type LengthUnit } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import { cvAt, twoDirections, type PassPattern } from './overlap.ts';
import { leftShare, type Pattern } from './pattern.ts';
import type { OnGround, WidthResult } from './widthTest.ts';
import type { WidthTestInput } from './widthInput.ts';

const percent = (share: number, figures = 2): string => `${showExact(100 * share, figures)} %`;
const lengthText = (m: number, unit: LengthUnit): string => {
  const { number, unit: symbol } = showQuantity(m, unit, 3);
  return `${number} ${symbol}`;
};

/**
 * Why a spacing is recommended.
 *
 * @example recommendation(widthReading, trays).facts.reach // '5.43 m'
 */
export function recommendation(reading: WidthResult, input: WidthTestInput): Message {
  const { sweeps, recommendedM, throwM, limit } = reading;
  const unit = input.layout.unit;
  if (input.deflector) return message('pattern.trim');
  if (input.spacingMethod !== 'trays') {
    if (throwM === null) return message('pattern.measure');
    return input.spacingMethod === 'half' ? message('pattern.half') : message('pattern.full');
  }
  if (!sweeps) return message('pattern.setOut');
  const { reachesM } = sweeps[input.passPattern];
  if (recommendedM === null || reachesM === null) return message('pattern.none', { limit: percent(limit) });
  const other = sweeps[input.passPattern === 'one-way' ? 'back-and-forth' : 'one-way'].widestM;
  const at = {
    oneWay: input.passPattern === 'one-way' ? 'yes' : 'no',
    limit: percent(limit),
    reach: lengthText(reachesM, unit),
  };
  return other === null
    ? message('pattern.widest', at)
    : message('pattern.widestWith', { ...at, other: lengthText(other, unit) });
}

/**
 * What is to be seen at the spacing that is looked at.
 *
 * @example groundRemarks(widthReading, groundAt(pattern, 5, 'back-and-forth'), trays).length // 4
 */
export function groundRemarks(reading: WidthResult, ground: OnGround, input: WidthTestInput): Message[] {
  const { overlay: over, most, least, middle } = ground;
  const { leftShare: left, limit } = reading;
  return [
    message('pattern.cv', {
      cv: percent(over.cv),
      within: over.cv <= limit ? 'yes' : 'no',
      limit: percent(limit),
      least: percent(least),
      most: percent(most),
      middle: percent(middle),
    }),
    ...(left === null
      ? []
      : [message('pattern.sides', { left: percent(left, 3), right: percent(1 - left, 3) })]),
    message('pattern.twoDirections', { cv: percent(twoDirections(over.cv)) }),
    ...(input.kind === 'mass'
      ? [message('pattern.mean', { mean: showQuantity(over.mean, 'g/m2', 3).number })]
      : []),
  ];
}

/**
 * The mean at a spacing as a line: what falls on a metre of path, over the spacing.
 *
 * @example meanLine(widthReading, 5, trays).label // { id: 'working.meanAtSpacing' }
 */
export function meanLine(reading: WidthResult, spacingM: number, input: WidthTestInput): Working | null {
  const { caughtKgPerM } = reading;
  if (caughtKgPerM === null) return null;
  return {
    id: 'width.mean',
    label: message('working.meanAtSpacing'),
    parts: [
      term('caught', showQuantity(caughtKgPerM, 'g'), { origin: 'test' }),
      word(message('working.onEach'), '÷'),
      term('path', { number: '1', unit: 'm' }),
      word(message('working.ofPath')),
      operator('÷'),
      term('spacing', showQuantity(spacingM, input.layout.unit)),
      operator('='),
      term('mean', showQuantity(caughtKgPerM / spacingM, 'g/m2'), { strong: true }),
    ],
  };
}

/**
 * The mean by the trays against the mean by weighing: what bounced out or blew away.
 *
 * @param caughtKgPerM by the trays
 * @param outputKgPerM by the bench
 * @example levelOf(0.039, 0.0446) // { id: 'pattern.level.short', facts: { share: '87 %' } }
 */
export function levelOf(caughtKgPerM: number, outputKgPerM: number): Message {
  requirePositive({ caughtKgPerM, outputKgPerM });
  const share = caughtKgPerM / outputKgPerM;
  return message(share > 1.08 ? 'pattern.level.over' : share >= 0.92 ? 'pattern.level.right' : 'pattern.level.short', { share: percent(share) }); // prettier-ignore
}

/**
 * A spacing as text to be typed, rounded down to what a person can pace: 5 cm or 3 in.
 *
 * @example handySpacing(5.17, 'm') // '5.15 m'
 */
export function handySpacing(spacingM: number, unit: LengthUnit): string {
  requirePositive({ spacingM });
  const step = UNITS[unit].toSi === 1 || unit === 'cm' ? 0.05 : 0.25 * UNITS.ft.toSi;
  const down = Math.floor(spacingM / step + 1e-9) * step;
  return `${showExact(down / UNITS[unit].toSi, 4)} ${UNITS[unit].symbol}`;
}

/**
 * What a change of the machine did to the pattern, at one spacing.
 *
 * @param before the pattern before it
 * @param spacingM above 0
 * @example changeIn(pattern, pattern, 5, 'back-and-forth') // { id: 'pattern.changed', facts: { cvBefore: '7.8 %', leftNow: '52.3 %' } }
 */
export function changeIn(before: Pattern, now: Pattern, spacingM: number, passPattern: PassPattern): Message {
  const cv = (of: Pattern) => percent(cvAt(of, spacingM, passPattern));
  const left = (of: Pattern) => percent(leftShare(of), 3);
  return message('pattern.changed', {
    cvBefore: cv(before),
    cvNow: cv(now),
    leftBefore: left(before),
    leftNow: left(now),
  });
}
