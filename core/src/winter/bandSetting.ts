import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import type { CalibrationResult, ChartLine } from '../testing/calibration.ts';
import { rateIn } from '../testing/rate.ts';
import type { GuideLine } from './guide.ts';
import type { GuideProduct } from './guideInput.ts';

/** What is wanted of a machine for a line of a guide: from low to high, best at `chosen`; in the dimension of its chart. */
export interface WantedBand {
  readonly low: number;
  readonly chosen: number;
  readonly high: number;
}

/** How a machine serves a line of a guide. */
export interface BandSetting {
  readonly line: ChartLine;
  /** How often it goes over the ground: a rate that no mark reaches is put down in several passes. */
  readonly passes: number;
  /** The pace against that of the chart: 1 is the same, 1.2 a fifth faster. */
  readonly paceFactor: number;
  /** What all passes together put down, in the dimension of the chart. */
  readonly rateSi: number;
}

const MAX_PASSES = 3;
/** A machine is walked or driven this much faster or slower than it was tested, no more: beyond it its chart says nothing. */
export const PACE_FACTORS = { slowest: 0.75, fastest: 1.35 } as const;

/** The mark whose rate is nearest to what is wanted, of those within it. */
function nearest(marks: readonly BandSetting[], { low, chosen, high }: WantedBand, tolerance: number): BandSetting | null {
  const within = marks.filter(({ rateSi }) => rateSi >= low * (1 - tolerance) && rateSi <= high * (1 + tolerance));
  const off = ({ rateSi }: BandSetting) => Math.abs(rateSi / chosen - 1);
  return within.reduce<BandSetting | null>((best, each) => (best === null || off(each) < off(best) ? each : best), null);
} // prettier-ignore

/** All marks, passed over so often. */
const inPasses = (chart: readonly ChartLine[], passes: number): BandSetting[] =>
  chart.map((line) => ({ line, passes, paceFactor: 1, rateSi: finite(line.rateSi * passes) }));

/** Marks at the pace at which they put down exactly what is chosen: of a machine that meters by time, half the pace is twice the rate. */
const atOtherPace = (chart: readonly ChartLine[], { chosen }: WantedBand): BandSetting[] =>
  chart
    .map((line) => ({ line, passes: 1, paceFactor: finite(line.rateSi / chosen), rateSi: chosen }))
    .filter(({ paceFactor }) => paceFactor >= PACE_FACTORS.slowest && paceFactor <= PACE_FACTORS.fastest)
    .toSorted((a, b) => Math.abs(Math.log(a.paceFactor)) - Math.abs(Math.log(b.paceFactor)));

/** A chart, as far as a rate is looked up in it. */
export type ChartRead = Pick<CalibrationResult, 'chart' | 'dimension' | 'widthM' | 'tolerance'>;

/**
 * The same for a band on the ground, whatever the chart counts in.
 *
 * @param wanted kg/m2, or L/m2 for a chart of what is sprayed; above 0
 * @returns null where nothing serves it, or the chart needs a width that it does not have
 * @throws InputError number.unusable
 * @example settingOnGround(reading, { low: 0.01, chosen: 0.0156, high: 0.02 }, true).line.mark.label // '11'
 */
export function settingOnGround(
  { chart, dimension, widthM, tolerance }: ChartRead,
  wanted: WantedBand,
  isByTime: boolean,
): BandSetting | null {
  const into = (si: number) => rateIn(dimension, si, widthM)?.si ?? null;
  const [low, chosen, high] = [into(wanted.low), into(wanted.chosen), into(wanted.high)];
  if (low === null || chosen === null || high === null) return null;
  return settingForBand(chart, { low, chosen, high }, isByTime, tolerance / 2);
}

/** A line of a guide with what a machine does about it. */
export interface ServedLine {
  readonly line: GuideLine;
  /** Null: nothing serves it. */
  readonly found: BandSetting | null;
}

/**
 * Which mark serves which line of a guide: the lines of one product that put something down.
 *
 * @param lines of a version
 * @example servedLines([], 'dry', reading, true) // []
 */
export const servedLines = (
  lines: readonly GuideLine[],
  product: GuideProduct,
  reading: ChartRead,
  isByTime: boolean,
): ServedLine[] =>
  lines.flatMap((line) => {
    if (line.product !== product || !line.rate || line.rate.low <= 0) return [];
    const { low, high } = line.rate;
    const wanted = { low, high, chosen: (low + high) / 2 };
    return [{ line, found: settingOnGround(reading, wanted, isByTime) }];
  });

/**
 * The mark of a machine for a line of a guide: one that lies in it, else another pace where pace acts, else several passes.
 *
 * @param chart marks with their rates, from low to high
 * @param wanted above 0, in the dimension of the chart
 * @param isByTime the machine meters by time: what it puts down hangs on the pace
 * @param tolerance share by which a mark may lie beyond the band
 * @returns null where nothing serves it
 * @throws InputError number.unusable
 * @example settingForBand([], { low: 0.01, chosen: 0.015, high: 0.02 }, true) // null
 */
export function settingForBand(
  chart: readonly ChartLine[],
  wanted: WantedBand,
  isByTime: boolean,
  tolerance = 0,
): BandSetting | null {
  requirePositive({ low: wanted.low, chosen: wanted.chosen, high: wanted.high });
  for (const { rateSi, mark } of chart) requireFinite({ rate: rateSi, opening: mark.opening });
  requireFinite({ tolerance });
  const open = chart.filter(({ rateSi }) => rateSi > 0);
  const once = nearest(inPasses(open, 1), wanted, tolerance);
  if (once) return once;
  const paced = isByTime ? atOtherPace(open, wanted)[0] : undefined;
  if (paced) return paced;
  for (let passes = 2; passes <= MAX_PASSES; passes += 1) {
    const several = nearest(inPasses(open, passes), wanted, tolerance);
    if (several) return several;
  }
  return null;
}
