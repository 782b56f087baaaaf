import { showExact, showQuantity } from '../quantities/show.ts';
import { PRODUCT_KINDS, type ProductKind } from '../products/product.ts';
import type { RigKind } from '../machines/kinds.ts';
import type { SettingMean } from './scatter.ts';
import { aimOf } from './advice/known.ts';
import type { Because } from './advice/advise.ts';
import { USUAL_PACE, type CalibrationResult } from './calibration.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { corrections, type Correction } from './corrections.ts';
import { isPerLength } from './rate.ts';
import { paceText } from './showBench.ts';
import type { Start } from './start.ts';

/** What to do now, and why: a mark and one or two sentences. */
export interface AdviceText {
  readonly act: string;
  readonly mark: string;
  readonly why: string;
}

/** What too much of a product does, for the reason of a cautious beginning. */
function harmOf(kind: ProductKind | null): string {
  if (kind === null) return 'too much does more harm than too little';
  const { puts } = PRODUCT_KINDS[kind];
  if (puts === 'de-icer') return 'too much is wasted and harms plants';
  return puts === 'active ingredient' ? 'too much breaks the label' : 'too much burns';
}

const STARTING: Readonly<Record<Start['from'], string>> = {
  low: 'low, not quite half way from first flow to fully open',
  middle: 'in the middle of the scale',
  label: 'where the label says, looked up for your pace',
  shape: 'where the other product’s chart gives this rate',
};

const percent = (share: number): string => `${showExact(share * 100, 2)} %`;
const runsText = (count: number): string => (count === 1 ? 'one run' : `${count} runs`);

/** The end of a search says it, not the next step. */
const ENDED: ReadonlySet<Because> = new Set([
  'settled',
  'usable',
  'no-mark-fits',
  'all-over',
  'nothing-flows',
]);

/**
 * True when the advice is an answer and asks for no further run.
 *
 * @example isEnded('settled') // true
 */
export const isEnded = (because: Because): boolean => ENDED.has(because);

/**
 * The advice in words.
 *
 * @param product kind of the product; null: not known
 * @returns null until the machine's scale and the rate are known
 * @example adviceText(reading, calibration).mark // '11'
 */
export function adviceText(
  { advice, tolerance, targetSi, runs }: CalibrationResult,
  { target, isCeiling, signOff }: CalibrationInput,
  product: ProductKind | null = null,
): AdviceText | null {
  if (!advice || targetSi === null) return null;
  const { mark, because, expected, means, start } = advice;
  const rate = (kgPerM2: number) => {
    const { number, unit } = showQuantity(kgPerM2, target.unit);
    return `${number} ${unit}`;
  };
  const mean = means.find(({ setting }) => setting === mark.opening);
  const told = mean ? `${rate(mean.mean)} ±${percent(mean.uRelative)} from ${runsText(mean.runs)}` : '';
  const off = mean ? mean.mean / targetSi - 1 : 0;
  const limit = isCeiling ? ' The rate is a limit, so the mark at or below it is taken.' : '';
  const goal = isCeiling ? 'under the limit' : `within ${percent(tolerance)}`;
  const uLast = runs.findLast(({ counts }) => counts)?.worked?.uReadings ?? 0;
  const coarse = uLast > tolerance / 2 ? ', and the readings alone are coarse' : '';
  const lowered = start.isLowered ? ' The rate is a limit: what you chose would begin higher.' : '';
  const why: Readonly<Record<Because, () => string>> = {
    start: () => `Nothing is tested yet. Begin ${STARTING[start.from]}${start.from === 'low' ? `, since ${harmOf(product)}` : ''}.${lowered}`, // prettier-ignore
    'no-flow': () => 'Nothing came out so far: first flow lies above. Half way from there to fully open.',
    shape: () => `The other product’s chart, scaled by your one test, points here. Test it.${limit}`,
    proportion: () => 'One setting is tested. In proportion it would be this mark. Gates are not proportional, so it is a guess.', // prettier-ignore
    curve: () => `The curve through your tests puts ${expected === null ? 'the rate' : rate(expected)} here. Test it.${limit}`, // prettier-ignore
    beyond: () => `The rate lies beyond what was tested: a guess along the end of the curve.${limit}`,
    beside: () => `The mark next to it only just fits. This one may be nearer: test it.${limit}`,
    repeat: () => `Here it was ${told}. Run it again: ${runsText(mean?.runs ?? 1)} say${mean?.runs === 1 ? 's' : ''} too little${coarse}.`, // prettier-ignore
    usable: () => `${told}: ${goal}. You can use it; another run would settle it.`,
    settled: () => `${told}: ${goal}, and sure enough. ${signOff?.setting === mark.label ? 'Signed off.' : 'Sign it off.'}`, // prettier-ignore
    'no-mark-fits': () => `${told}: ${percent(Math.abs(off))} ${off > 0 ? 'over' : 'under'}. The marks on both sides were tested, and none fits.${limit}`, // prettier-ignore
    'all-over': () => `${told}. Even the lowest open mark puts down more than the limit.`,
    'nothing-flows': () =>
      'Nothing came out, even fully open. Look for a bridge, a blocked gate or a wet product.',
  };
  const act = because === 'repeat' ? 'Again at' : because === 'settled' || because === 'usable' ? 'Keep at' : 'Set to'; // prettier-ignore
  return { act, mark: mark.label, why: why[because]() };
}

/** A mark that misses the rate, and what would bring it in. */
interface Offer {
  readonly mark: string;
  readonly ways: readonly Correction[];
}

/** Rate that a correction aims at: the target; under a limit as far below as keeps the band of the mean under it. */
const wantedFor = (mean: SettingMean, target: number, tolerance: number, isCeiling: boolean): number =>
  isCeiling ? Math.min(aimOf({ target, ceiling: target, tolerance }), target / (1 + mean.uRelative)) : target;

/**
 * What pace or spacing would bring in the mark that is kept, and the one above it where no mark fits; the nearer one first. Nothing
 * while the mark is a guess or already fits.
 *
 * @param kind of the machine
 * @example offersFor(reading, calibration, 'push-rotary').length // 0
 */
export function offersFor(
  { advice, targetSi, tolerance, chartPaceMPerS, widthM, chart, dimension }: CalibrationResult,
  { isCeiling }: Pick<CalibrationInput, 'isCeiling'>,
  kind: RigKind,
): Offer[] {
  const kept = advice?.means.find(({ setting }) => setting === advice.setting);
  if (!advice || !kept || targetSi === null || !isEnded(advice.because)) return [];
  const wanted = (mean: SettingMean) => wantedFor(mean, targetSi, tolerance, isCeiling);
  const misses = (mean: SettingMean) => Math.abs(mean.mean / wanted(mean) - 1);
  return [kept, ...(advice.above ? [advice.above] : [])]
    .filter((mean) => misses(mean) > tolerance / 2)
    .toSorted((a, b) => misses(a) - misses(b))
    .flatMap((mean): Offer[] => {
      const mark = mean === kept ? advice.mark.label : chart.find((line) => line.mark.opening === mean.setting)?.mark.label; // prettier-ignore
      const ways = corrections(kind, { meanKgPerM2: mean.mean, wantedKgPerM2: wanted(mean), paceMPerS: chartPaceMPerS ?? USUAL_PACE, widthM: widthM ?? 1 }).filter(({ by }) => by === 'pace' || !isPerLength(dimension)); // prettier-ignore
      return mark === undefined || ways.length === 0 ? [] : [{ mark, ways }];
    });
}

/**
 * The offers in sentences.
 *
 * @example correctionText(reading, calibration, 'push-rotary').length // 0
 */
export function correctionText(
  reading: CalibrationResult,
  input: Pick<CalibrationInput, 'isCeiling' | 'width' | 'pace'>,
  kind: RigKind,
): string[] {
  const sentence = (mark: string, way: Correction): string[] => {
    const more = way.factor > 1;
    if (way.by === 'pace') {
      const hard = way.comfortable ? '' : ' That is hard to hold with this machine.';
      const speed = reading.chartPaceMPerS === null ? `${percent(Math.abs(way.factor - 1))} ${more ? 'faster' : 'slower'}` : paceText(way.mPerS, input.pace.unit); // prettier-ignore
      return [`At ${mark}, walk ${more ? 'faster' : 'slower'}: ${speed} meets the rate.${hard} A rotary throws ${more ? 'wider' : 'narrower'} then: look at the width again.`]; // prettier-ignore
    }
    if (reading.widthM === null) return [];
    const { number, unit } = showQuantity(way.widthM, input.width.unit, 3);
    return [`At ${mark}, pass ${more ? 'farther apart' : 'closer'}: ${number} ${unit} apart meets the rate, if the pattern stays even there.`]; // prettier-ignore
  };
  return offersFor(reading, input, kind).flatMap(({ mark, ways }) =>
    ways.flatMap((way) => sentence(mark, way)),
  );
}
