import * as z from 'zod';
import { momentMs } from '../fields/days.ts';
import { requireFinite } from '../errors/preconditions.ts';
import type { Trend } from './guideInput.ts';

/** What a station reads, and in what it says it: degC, kg, m/s, mm/h, and hours until rain is due. */
export const STATION_QUANTITIES = ['pavement', 'air', 'scale', 'wind', 'rain', 'soil', 'rainDue'] as const;
export type StationQuantity = (typeof STATION_QUANTITIES)[number];

/** What a station answers: who it is, and its readings in SI, the oldest first. */
export const stationAnswer = z.object({
  format: z.literal('steady-scatter.station/1'),
  name: z.string().min(1).max(80),
  /** Made up: the stand-in that ships with the program. */
  isSimulated: z.boolean(),
  readings: z
    .array(z.object({ of: z.enum(STATION_QUANTITIES), value: z.number(), at: z.iso.datetime() }))
    .max(2000),
});
export type StationAnswer = z.infer<typeof stationAnswer>;
export type StationReading = StationAnswer['readings'][number];

/** A reading that is older says nothing of now. */
export const STATION_FRESH_MIN = 30;
/** The trend is told from what was read in this time, and needs at least this much of it. */
const TREND_MIN = { over: 120, least: 20 } as const;
/** Pavement that changes less in an hour is steady, degC: half a degree F. */
const STEADY_C_PER_HOUR = 0.28;
const MIN_MS = 60_000;

/** The slope of the least-squares line, per hour. */
function slopePerHour(points: readonly { readonly hour: number; readonly value: number }[]): number {
  const mean = (of: (point: (typeof points)[number]) => number) => points.reduce((sum, point) => sum + of(point), 0) / points.length; // prettier-ignore
  const [hour, value] = [mean((point) => point.hour), mean((point) => point.value)];
  const over = points.reduce((sum, point) => sum + (point.hour - hour) ** 2, 0);
  return points.reduce((sum, point) => sum + (point.hour - hour) * (point.value - value), 0) / over;
}

/** What a station says of one quantity now. */
export interface StationNow {
  readonly value: number;
  readonly at: string;
  /** Null: too little was read to tell. */
  readonly trend: Trend | null;
  readonly perHour: number | null;
}

/**
 * The last reading of a quantity, and where it is going: the least-squares slope of the last two hours.
 *
 * @param nowMs the moment it is asked for, ms since 1970
 * @returns null where nothing of the last half hour is there
 * @throws InputError number.unusable
 * @example stationNow([], 'pavement', 0) // null
 */
export function stationNow(
  readings: readonly StationReading[],
  of: StationQuantity,
  nowMs: number,
): StationNow | null {
  const own = readings.filter((reading) => reading.of === of).map(({ value, at }) => ({ value, at, ms: momentMs(at) })); // prettier-ignore
  for (const { value, ms } of own) requireFinite({ value, time: ms });
  const known = own.filter(({ ms }) => ms <= nowMs + MIN_MS).toSorted((a, b) => a.ms - b.ms);
  const last = known.at(-1);
  if (!last || nowMs - last.ms > STATION_FRESH_MIN * MIN_MS) return null;
  const recent = known.filter(({ ms }) => last.ms - ms <= TREND_MIN.over * MIN_MS);
  const spanMin = (last.ms - recent[0]!.ms) / MIN_MS;
  if (recent.length < 3 || spanMin < TREND_MIN.least) return { value: last.value, at: last.at, trend: null, perHour: null }; // prettier-ignore
  const perHour = slopePerHour(recent.map(({ value, ms }) => ({ value, hour: ms / (60 * MIN_MS) })));
  const trend = Math.abs(perHour) < STEADY_C_PER_HOUR ? 'steady' : perHour > 0 ? 'rising' : 'falling';
  return { value: last.value, at: last.at, trend, perHour };
}

/** A scale rests when its last readings are one. */
const REST_READINGS = 3;

/**
 * The weight that a scale shows once it rests.
 *
 * @returns kg; null while it moves
 * @example scaleAtRest([]) // null
 */
export function scaleAtRest(readings: readonly StationReading[]): number | null {
  const last = readings.filter(({ of }) => of === 'scale').slice(-REST_READINGS);
  if (last.length < REST_READINGS) return null;
  return last.every(({ value }) => value === last[0]!.value) ? last[0]!.value : null;
}
