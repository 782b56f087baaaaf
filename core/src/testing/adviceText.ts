import { message, type Message } from '../messages/message.ts';
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

/** What to do now, and why: a mark and the reason. */
export interface AdviceText {
  readonly act: 'again' | 'keep' | 'set';
  readonly mark: string;
  readonly why: Message;
}

/** What too much of a product does, for the reason of a cautious beginning. */
function harmOf(kind: ProductKind | null): 'unknown' | 'waste' | 'label' | 'burn' {
  if (kind === null) return 'unknown';
  const { puts } = PRODUCT_KINDS[kind];
  if (puts === 'de-icer') return 'waste';
  return puts === 'active-ingredient' ? 'label' : 'burn';
}

const percent = (share: number): string => `${showExact(share * 100, 2)} %`;

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
 * The advice, as it is told.
 *
 * @param product kind of the product; null: not known
 * @returns null until the machine's scale and the rate are known
 * @example adviceText(reading, calibration).mark // '11'
 */
export function adviceText(
  { advice, session, tolerance, targetSi, runs }: CalibrationResult,
  { target, isCeiling, signOff }: CalibrationInput,
  product: ProductKind | null = null,
): AdviceText | null {
  if (session?.next) {
    const { marks, tested, next } = session;
    return {
      act: 'set',
      mark: next.label,
      why: message('advice.session', {
        tested,
        all: marks.length,
        left: tested < marks.length ? 'some' : 'none',
      }),
    };
  }
  if (!advice || targetSi === null) return null;
  const { mark, because, expected, means, start } = advice;
  const rate = (kgPerM2: number) => {
    const { number, unit } = showQuantity(kgPerM2, target.unit);
    return `${number} ${unit}`;
  };
  const mean = means.find(({ setting }) => setting === mark.opening);
  const off = mean ? mean.mean / targetSi - 1 : 0;
  const told = mean
    ? message('advice.told', { rate: rate(mean.mean), percent: percent(mean.uRelative), runs: mean.runs })
    : '';
  const goal = isCeiling
    ? message('advice.underLimit')
    : message('advice.within', { percent: percent(tolerance) });
  const uLast = runs.findLast(({ counts }) => counts)?.worked?.uReadings ?? 0;
  const ceiling = isCeiling ? 'yes' : 'no';
  const why: Readonly<Record<Because, () => Message>> = {
    start: () => message('advice.start', { from: start.from, harm: harmOf(product), lowered: start.isLowered ? 'yes' : 'no' }),
    'no-flow': () => message('advice.no-flow'),
    shape: () => message('advice.shape', { ceiling }),
    proportion: () => message('advice.proportion'),
    curve: () => message('advice.curve', { rate: expected === null ? message('advice.theRate') : rate(expected), ceiling }),
    beyond: () => message('advice.beyond', { ceiling }),
    beside: () => message('advice.beside', { ceiling }),
    repeat: () => message('advice.repeat', { told, runs: mean?.runs ?? 1, coarse: uLast > tolerance / 2 ? 'yes' : 'no' }),
    usable: () => message('advice.usable', { told, goal }),
    settled: () => message('advice.settled', { told, goal, signed: signOff?.setting === mark.label ? 'yes' : 'no' }),
    'no-mark-fits': () => message('advice.no-mark-fits', { told, percent: percent(Math.abs(off)), side: off > 0 ? 'over' : 'under', ceiling }),
    'all-over': () => message('advice.all-over', { told }),
    'nothing-flows': () => message('advice.nothing-flows'),
  }; // prettier-ignore
  const act = because === 'repeat' ? 'again' : because === 'settled' || because === 'usable' ? 'keep' : 'set';
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
 * The offers, as they are told.
 *
 * @example correctionTexts(reading, calibration, 'push-rotary').length // 0
 */
export function correctionTexts(
  reading: CalibrationResult,
  input: Pick<CalibrationInput, 'isCeiling' | 'width' | 'pace'>,
  kind: RigKind,
): Message[] {
  const told = (mark: string, way: Correction): Message[] => {
    const more = way.factor > 1;
    if (way.by === 'pace') {
      const hard = way.comfortable ? 'no' : 'yes';
      const by = more ? 'faster' : 'slower';
      return reading.chartPaceMPerS === null
        ? [message('advice.walkBy', { mark, by, percent: percent(Math.abs(way.factor - 1)), hard })]
        : [message('advice.walk', { mark, by, pace: paceText(way.mPerS, input.pace.unit), hard })];
    }
    if (reading.widthM === null) return [];
    const { number, unit } = showQuantity(way.widthM, input.width.unit, 3);
    return [message('advice.pass', { mark, by: more ? 'wider' : 'closer', spacing: `${number} ${unit}` })];
  };
  return offersFor(reading, input, kind).flatMap(({ mark, ways }) => ways.flatMap((way) => told(mark, way)));
}
