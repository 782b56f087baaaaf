import { isByTime } from '@steady-scatter/core/machines';
import { evaluateProduct } from '@steady-scatter/core/products';
import { fromSi, showExact } from '@steady-scatter/core/quantities';
import { dimensionOf, paceText, rateAs, showRate, type CalibrationInput } from '@steady-scatter/core/testing';
import {
  evaluateGuide,
  servedLines,
  versionOn,
  type GuideInput,
  type GuideProduct,
  type GuideVersion,
  type ServedLine,
} from '@steady-scatter/core/winter';
import { say, speak } from '@steady-scatter/words/winter';
import type { CalibrationContext } from '../../bench/calibrationContext.ts';
import type { RateBand } from '../../bench/SettingChart.tsx';
import { bandText, caseText, ratesText } from '../guides/guideTexts.ts';
import { settingText } from '../settingText.ts';

/** A line of the card by condition: when, what to set, and what comes of it. */
export interface Condition {
  readonly id: string;
  readonly when: string;
  readonly pavement: string;
  /** What the guide asks for. */
  readonly asked: string;
  /** The mark; null: nothing serves it. */
  readonly mark: string | null;
  /** "twice over", "12 % faster"; empty: as it is. */
  readonly how: string;
  /** What it puts down, with its band. */
  readonly rate: string;
}

/** A machine's chart held against a rate guide. */
export interface Served {
  readonly version: GuideVersion;
  readonly product: GuideProduct;
  readonly lines: readonly ServedLine[];
  readonly conditions: readonly Condition[];
  readonly pace: string;
}

/** What a machine puts out of a product is what its guide calls it. */
const guideProductOf = ({ product }: CalibrationContext): GuideProduct =>
  product && evaluateProduct(product).form === 'liquid' ? 'liquid' : 'dry';

function conditionOf({ line, found }: ServedLine, guide: GuideInput, { reading }: CalibrationContext, input: CalibrationInput): Condition {
  const typed = guide.versions.flatMap(({ lines }) => lines).find(({ id }) => id === line.id)!;
  const mean = found && reading.means.find(({ setting }) => setting === found.line.mark.opening);
  const shown = found && showRate(found.rateSi, mean?.uRelative ?? 0, input.target.unit);
  return {
    id: line.id,
    when: caseText(line),
    pavement: bandText(typed, guide.temperatureUnit),
    asked: ratesText(typed, guide),
    mark: found?.line.mark.label ?? null,
    how: found ? settingText(found) : '',
    rate: shown ? `${shown.number}${shown.band ? ` ±${shown.band}` : ''} ${shown.unit}` : '',
  };
} // prettier-ignore

/** Rates that the lines of one situation ask for, each once, in the unit of the chart. */
export function bandsOf(lines: readonly ServedLine[], { reading }: CalibrationContext, { target }: CalibrationInput): RateBand[] {
  const one = rateAs({ si: 1, dimension: reading.spray ? 'volumePerArea' : 'massPerArea' }, dimensionOf(target.unit), reading.widthM);
  if (!one) return [];
  const inUnit = (si: number) => fromSi(si * one.si, target.unit);
  const bands = lines.flatMap(({ line: { rate } }) => (rate ? [{ low: inUnit(rate.low), high: inUnit(rate.high) }] : []));
  const firsts = bands.filter(({ low, high }, index) => bands.findIndex((each) => Math.abs(each.low - low) < 1e-9 && Math.abs(each.high - high) < 1e-9) === index);
  const plain = (value: number) => showExact(value, 2);
  return firsts
    .toSorted((a, b) => a.low - b.low)
    .map(({ low, high }) => ({ low, high, label: say('winter.served.band', { low: plain(low), high: plain(high) }) }));
} // prettier-ignore

/**
 * Holds a chart against the version of a guide that is valid.
 *
 * @returns null where the guide has no version for the day
 */
export function servedBy(guide: GuideInput, input: CalibrationInput, on: CalibrationContext, day: string): Served | null {
  const version = versionOn(evaluateGuide(guide).versions, day);
  if (!version || !on.rig) return null;
  const product = guideProductOf(on);
  const lines = servedLines(version.lines, product, on.reading, isByTime(on.rig.kind));
  return {
    version,
    product,
    lines,
    conditions: lines.map((line) => conditionOf(line, guide, on, input)),
    pace: speak(paceText(on.reading.chartPaceMPerS, input.units.length)),
  };
} // prettier-ignore
