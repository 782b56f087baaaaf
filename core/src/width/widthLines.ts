import { requirePositive } from '../errors/preconditions.ts';
import { showExact, showQuantity } from '../quantities/show.ts';
import { UNITS, type LengthUnit } from '../quantities/units.ts';
import { operator, term, word, type Working } from '../working/working.ts';
import { cvAt, twoDirections, PASS_PATTERNS, type PassPattern } from './overlap.ts';
import { leftShare, type Pattern } from './pattern.ts';
import type { OnGround, WidthResult } from './widthTest.ts';
import type { WidthTestInput } from './widthInput.ts';

const percent = (share: number, figures = 2): string => `${showExact(100 * share, figures)} %`;
const lengthText = (m: number, unit: LengthUnit): string => {
  const { number, unit: symbol } = showQuantity(m, unit, 3);
  return `${number} ${symbol}`;
};

/**
 * Why a spacing is recommended, in a sentence or two.
 *
 * @example recommendationText(widthReading, trays) // 'Back and forth it stays within 15 % up to 5.43 m. …'
 */
export function recommendationText(reading: WidthResult, input: WidthTestInput): string {
  const { sweeps, recommendedM, throwM, limit } = reading;
  const unit = input.layout.unit;
  if (input.deflector)
    return 'With the deflector down it is a pattern for trim passes: one pass along the edge, nothing beside it.';
  if (input.spacingMethod !== 'trays') {
    if (throwM === null) return 'Measure with a tape how far it hits on both sides together.';
    return input.spacingMethod === 'half'
      ? 'Half the throw apart each spot is hit from both sides. It evens out most patterns, and is what to do until trays were set out.'
      : 'The full throw apart, each spot is hit once, thinly at the edges. Trays usually show that to be striped: set them out, or pass half as far.';
  }
  if (!sweeps) return 'Set the trays out across the throw, pass over them, and type what each caught.';
  const { reachesM } = sweeps[input.passPattern];
  if (recommendedM === null || reachesM === null)
    return `No spacing is even within ${percent(limit)}. Look below what may be wrong with the pattern, and test again.`;
  const other = sweeps[input.passPattern === 'one-way' ? 'back-and-forth' : 'one-way'].widestM;
  const also = other === null ? '' : ` ${input.passPattern === 'one-way' ? 'Back and forth' : 'All one way'} it would be ${lengthText(other, unit)}.`; // prettier-ignore
  const passPattern = PASS_PATTERNS[input.passPattern];
  return `${passPattern.charAt(0).toUpperCase()}${passPattern.slice(1)} it stays within ${percent(limit)} up to ${lengthText(reachesM, unit)}. Nobody passes to the inch, so 5 % is left to each side.${also}`;
}

/**
 * What is to be seen at the spacing that is looked at, a line each.
 *
 * @example groundRemarks(widthReading, groundAt(pattern, 5, 'back-and-forth'), trays).length // 4
 */
export function groundRemarks(reading: WidthResult, ground: OnGround, input: WidthTestInput): string[] {
  const { overlay: over, most, least, middle } = ground;
  const { leftShare: left, limit } = reading;
  const within = over.cv <= limit ? 'within' : 'beyond';
  return [
    `CV ${percent(over.cv)}, ${within} the ${percent(limit)} that you bear. From ${percent(least)} to ${percent(most)} of the mean, ${percent(middle)} in the wheel track.`,
    ...(left === null
      ? []
      : [`${percent(left, 3)} falls to the left, ${percent(1 - left, 3)} to the right.`]),
    `In two directions, half the rate each, it would be CV ${percent(twoDirections(over.cv))}.`,
    ...(input.kind === 'mass'
      ? [`The mean is ${showQuantity(over.mean, 'g/m2', 3).number} g / m² for one pass at this spacing.`]
      : []),
  ];
}

/**
 * The mean at a spacing as a line: what falls on a metre of path, over the spacing.
 *
 * @example meanLine(widthReading, 5, trays).label // 'Mean on the ground at this spacing'
 */
export function meanLine(reading: WidthResult, spacingM: number, input: WidthTestInput): Working | null {
  const { caughtKgPerM } = reading;
  if (caughtKgPerM === null) return null;
  return {
    id: 'width.mean',
    label: 'Mean on the ground at this spacing',
    parts: [
      term('caught', showQuantity(caughtKgPerM, 'g'), { origin: 'test' }),
      word('on each', '÷'),
      term('path', { number: '1', unit: 'm' }),
      word('of path'),
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
 * @example levelText(0.039, 0.0446) // 'The trays kept …'
 */
export function levelText(caughtKgPerM: number, outputKgPerM: number): string {
  requirePositive({ caughtKgPerM, outputKgPerM });
  const share = caughtKgPerM / outputKgPerM;
  const kept = `The trays kept ${percent(share)} of what the machine puts out by weighing.`;
  if (share > 1.08)
    return `${kept} More than all of it cannot be: check the size of the trays, the passes and the setting.`;
  if (share >= 0.92) return `${kept} That is as it should be.`;
  return `${kept} The rest bounced out or fell beyond the ends: the shape holds, the level is that of the weighing. Trays with a grid or a mat keep more.`;
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
 * What a change of the machine did to the pattern, at one spacing, in a sentence.
 *
 * @param before the pattern before it
 * @param spacingM above 0
 * @example changeText(pattern, pattern, 5, 'back-and-forth') // 'At this spacing CV was 7.8 % before and is 7.8 % now; 52.3 % fell to the left before, 52.3 % now.'
 */
export function changeText(
  before: Pattern,
  now: Pattern,
  spacingM: number,
  passPattern: PassPattern,
): string {
  const cv = (of: Pattern) => percent(cvAt(of, spacingM, passPattern));
  const left = (of: Pattern) => percent(leftShare(of), 3);
  return `At this spacing CV was ${cv(before)} before and is ${cv(now)} now; ${left(before)} fell to the left before, ${left(now)} now.`;
}
