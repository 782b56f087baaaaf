import { showExact, showQuantity } from '../quantities/show.ts';
import { USUAL_PACE, type CalibrationReading } from './calibration.ts';
import type { CalibrationTyped, StartId } from './calibrationTyped.ts';
import type { RigKind } from '../rigs/kinds.ts';
import { corrections } from './corrections.ts';
import type { RunReading } from './readRun.ts';
import { paceText } from './showBench.ts';
import { COVERAGE, leastNet } from './uncertainty.ts';

/** What to do now, and why: a mark and one or two sentences. */
export interface AdviceText {
  readonly act: string;
  readonly mark: string;
  readonly why: string;
}

const STARTING: Readonly<Record<StartId, string>> = {
  low: 'a third of the way up from where it first runs, so that the first run burns nothing',
  middle: 'in the middle of the scale',
  label: 'where the label says, looked up for your pace',
  shape: 'where the other product’s chart gives this rate',
};

const percent = (share: number): string => `${showExact(share * 100, 2)} %`;

/**
 * The advice in words.
 *
 * @returns null until the machine's scale and the rate are known
 */
export function adviceText(
  { advice, tolerance, targetKgPerM2, runs }: CalibrationReading,
  { target, isCeiling, start, signOff }: CalibrationTyped,
): AdviceText | null {
  if (!advice || targetKgPerM2 === null) return null;
  const { mark, because, expected, means } = advice;
  const rate = (kgPerM2: number) => {
    const { number, unit } = showQuantity(kgPerM2, target.unit);
    return `${number} ${unit}`;
  };
  const mean = means.find(({ setting }) => setting === mark.opening);
  const told = mean ? `${rate(mean.mean)} ±${percent(mean.uRelative)} from ${mean.runs === 1 ? 'one run' : `${mean.runs} runs`}` : ''; // prettier-ignore
  const off = mean ? mean.mean / targetKgPerM2 - 1 : 0;
  const side = off > 0 ? 'over' : 'under';
  const ceiling = isCeiling ? ' The rate is the most allowed, so the mark at or below it is taken.' : '';
  const uLast = runs.findLast(({ counts }) => counts)?.worked?.uReadings ?? 0;
  const WHY: Readonly<Record<typeof because, string>> = {
    start: `Nothing is tested yet: begin ${STARTING[start]}, and weigh what it does.`,
    shape: `The shape of the other product’s chart, scaled by your one test, points here. Test it.${ceiling}`,
    proportion: `One setting is tested. In proportion it would be this mark; gates are not proportional, so it is a guess.`,
    curve: `The curve through your tests puts ${expected === null ? 'the rate' : rate(expected)} here. Test it.${ceiling}`,
    beyond: 'The rate lies beyond what was tested. One mark farther, as a guess.',
    repeat: `Here it was ${told}. Run it again: one run says little of the next${uLast > tolerance / 2 ? ', and the readings alone are coarse' : ''}.`,
    usable: `${told}: within ${percent(tolerance)}. It can be used; another run would settle it.`,
    settled: `${told}: within ${percent(tolerance)}, and sure enough. ${signOff?.setting === mark.label ? 'Signed off.' : 'Sign it off.'}`,
    'no-mark-fits': `${told}: ${percent(Math.abs(off))} ${side}, and no other mark comes nearer. ${off > 0 ? 'Walk faster or pass wider' : 'Walk slower or pass closer'}, by about ${percent(Math.abs(off))}.${ceiling}`,
  };
  const act = because === 'settled' || because === 'usable' ? 'Keep at' : because === 'repeat' ? 'Again at' : 'Set to'; // prettier-ignore
  return { act, mark: mark.label, why: WHY[because] };
}

/**
 * What a coarse scale makes of a small catch, in one sentence; null where the readings are good enough.
 *
 * @param tolerance share of the rate
 */
export function coarseText(
  run: RunReading,
  stepKg: number | null,
  tolerance: number,
  calibration: CalibrationTyped,
): string | null {
  // prettier-ignore
  if (!run.worked || stepKg === null) return null;
  const band = COVERAGE * run.worked.uReadings;
  if (band <= tolerance) return null;
  const { rateKgPerM2, netKg } = run.worked;
  const { unit } = calibration.target;
  const [low, high] = [1 - band, 1 + band].map((share) => showQuantity(Math.max(0, rateKgPerM2 * share), unit, 2).number); // prettier-ignore
  const mass = (kg: number, figures: number) => {
    const { number, unit: symbol } = showQuantity(kg, calibration.units.mass, figures);
    return `${number} ${symbol}`;
  };
  return `The scale reads to ${mass(stepKg, 1)} and you weighed ${mass(netKg, 2)}: this run cannot tell ${low} from ${high}. Catch at least ${mass(leastNet(stepKg, tolerance), 2)}: a longer strip, or more passes on fresh ground.`;
}

/**
 * Correcting by pace or spacing in place of another mark, with what comes of it; null while no mark is tested or it already fits.
 *
 * @param kind of the machine
 */
export function correctionText(
  { advice, targetKgPerM2, tolerance, paceMPerS, widthM }: CalibrationReading,
  { width, pace }: CalibrationTyped,
  kind: RigKind,
): string[] {
  const mean = advice?.means.find(({ setting }) => setting === advice.setting)?.mean ?? advice?.expected;
  if (!advice || advice.isGuess || !mean || targetKgPerM2 === null || Math.abs(mean / targetKgPerM2 - 1) <= tolerance / 2) return []; // prettier-ignore
  const found = corrections(kind, mean, targetKgPerM2, paceMPerS ?? USUAL_PACE, widthM ?? 1);
  const by = advice.mark.label;
  const more = found.times > 1;
  const spacing = found.spacing && widthM !== null ? showQuantity(found.spacing.widthM, width.unit, 3) : null;
  return [
    ...(found.pace
      ? [`At ${by}, ${more ? 'faster' : 'slower'}: ${paceText(found.pace.mPerS, pace.unit)} would meet it.${found.pace.comfortable ? '' : ' That is hard to hold with this machine.'} A rotary throws ${more ? 'wider' : 'narrower'} then: look at the width again.`]
      : []),
    ...(spacing
      ? [`At ${by}, passes ${more ? 'farther' : 'closer'}: ${spacing.number} ${spacing.unit} apart would meet it, if the pattern stays even there.`]
      : []),
  ]; // prettier-ignore
}
