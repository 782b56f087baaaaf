import { rigKind } from '../machines/kinds.ts';
import type { RigInput } from '../machines/rigInput.ts';
import type { Mark } from '../machines/scale.ts';
import { showQuantity } from '../quantities/show.ts';
import { checkNozzles, type NozzleCheck } from '../wet/nozzleCheck.ts';
import { ratedAt, rateWays, type NozzleChoice, type RateWay } from '../wet/rateWays.ts';
import type { BenchRig } from './benchRig.ts';
import { countedRuns, rateAtWork, type RunResult } from './readRun.ts';
import { settingMeans, type ScatterRecord, type SettingMean } from './scatter.ts';

/** What was found at one setting of what sprays. */
export interface SprayMean {
  readonly mark: Mark;
  readonly mean: SettingMean;
}

/** How what sprays stands by its test runs. */
export interface SprayState {
  /** Each setting that was tested, the lowest mark first. */
  readonly means: readonly SprayMean[];
  /** That of the last run that counts: how it is set now; null while none counts. */
  readonly now: SprayMean | null;
  /** Share above what is wanted, at that setting; null: not known. */
  readonly off: number | null;
  /** Pressure and speed of the last run that counts; null: not read. */
  readonly pressurePa: number | null;
  readonly speedMPerS: number | null;
  /** What flows in all, L/s, of what will be sprayed. */
  readonly flowLPerS: number | null;
  /** The nozzles of the last run in which they were caught apart; null: none was. */
  readonly nozzles: NozzleCheck | null;
}

interface Known {
  readonly runs: readonly RunResult[];
  readonly rig: BenchRig;
  readonly record: ScatterRecord;
  readonly targetSi: number | null;
}

/** The nozzles of the last run that has them, at the pressure of that run or else the working one. */
function nozzlesOf(runs: readonly RunResult[], { spray }: BenchRig): NozzleCheck | null {
  const last = runs.findLast(({ worked }) => (worked?.flowsLPerS?.length ?? 0) > 1)?.worked;
  const flows = last?.flowsLPerS ?? [];
  if (!last || !flows.some((flow) => flow > 0)) return null;
  return checkNozzles(flows, ratedAt(spray?.nozzle.rated ?? null, last.pressurePa ?? spray?.pressurePa ?? null)); // prettier-ignore
}

/** How what sprays stands: each setting with its mean and band, and the one that it is set to now. */
export function sprayState({ runs, rig, record, targetSi }: Known): SprayState {
  const counted = countedRuns(runs);
  const marks = new Map(runs.flatMap(({ mark }) => (mark ? [[mark.opening, mark] as const] : [])));
  const means = (counted.length === 0 ? [] : settingMeans(counted, record)).map((mean): SprayMean => ({ mark: marks.get(mean.setting)!, mean })); // prettier-ignore
  const last = runs.findLast(({ counts }) => counts) ?? null;
  const now = means.find(({ mean }) => mean.setting === last?.mark?.opening) ?? null;
  const speedMPerS = last?.worked?.paceMPerS ?? null;
  const caught = last?.worked?.flowsLPerS?.reduce((sum, flow) => sum + flow, 0) ?? null;
  return {
    means,
    now,
    off: now && targetSi !== null ? now.mean.mean / targetSi - 1 : null,
    pressurePa: last?.worked?.pressurePa ?? rig.spray?.pressurePa ?? null,
    speedMPerS,
    flowLPerS: caught === null ? null : caught * (last?.flowFactor ?? 1),
    nozzles: nozzlesOf(runs, rig),
  };
}

/** What a way to another rate starts from. */
interface WaysFrom {
  readonly spray: SprayState | null;
  readonly paceMPerS: number | null;
  readonly widthM: number | null;
  readonly runs: readonly RunResult[];
}

/**
 * What would bring a sprayer to a rate, by its test runs: speed, another nozzle of the crew's table, pressure.
 *
 * @param wantedLPerM2 above 0
 * @param table the crew's nozzles; the one that is fitted is left out by its name
 * @returns empty while the rate, the speed or the width is not known
 * @example sprayWays(reading, bench, 0.04, []) // []: it spreads
 */
export function sprayWays(
  { spray, paceMPerS, widthM, runs }: WaysFrom,
  { kind, spray: fitted }: BenchRig,
  wantedLPerM2: number,
  table: readonly NozzleChoice[],
): RateWay[] {
  const speedMPerS = paceMPerS ?? spray?.speedMPerS ?? null;
  const last = runs.findLast(({ counts }) => counts);
  const rateLPerM2 = spray?.now?.mean.mean ?? (last ? rateAtWork(last)?.rateSi : null) ?? null;
  if (!fitted || rateLPerM2 === null || !(rateLPerM2 > 0) || speedMPerS === null || widthM === null)
    return [];
  const { nozzle, count } = fitted;
  return rateWays(
    {
      rateLPerM2,
      speedMPerS,
      widthM,
      nozzles: count,
      pressurePa: spray?.pressurePa ?? null,
      lowPa: nozzle.lowPa,
      highPa: nozzle.highPa,
      speeds: rigKind(kind).pace,
      densityFactor: last?.flowFactor ?? 1,
    },
    wantedLPerM2,
    table,
  );
}

/**
 * What a sprayer is set to, in the words that are signed off: the mark of its speed control, or its nozzle and pressure.
 *
 * @param unit of the pressure
 * @returns empty where neither is known
 * @example sprayedAt(null, redSpreader, 'psi') // ''
 */
export function sprayedAt(
  spray: SprayState | null,
  { spray: fitted }: RigInput,
  unit: 'psi' | 'bar',
): string {
  if (!spray) return '';
  if (spray.now && spray.now.mark.label !== '') return spray.now.mark.label;
  const { number, unit: symbol } = showQuantity(spray.pressurePa ?? 0, unit, 2);
  const pressure = spray.pressurePa === null ? '' : `${number.replace(/\.0$/, '')} ${symbol}`;
  return [fitted.nozzle.name.trim(), pressure].filter((part) => part !== '').join(', ');
}
