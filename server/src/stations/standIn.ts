import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { StationAnswer, StationQuantity, StationReading } from '@steady-scatter/core/winter';

/** A station that is made up, so that there is one to try with: it always stands in a night that falls through 25 °F. */
export interface StandIn {
  readonly address: string;
  close(): Promise<void>;
}

const STEP_MS = 10 * 60_000;
const STEPS = 13;
/** degC now, and how it changes in an hour. */
const NIGHT = {
  pavement: [-3.9, -0.8],
  air: [-6.1, -1.1],
  wind: [2.4, 0],
  rain: [0, 0],
  soil: [2.1, -0.1],
  rainDue: [26, -1],
} as const;

function weather(of: keyof typeof NIGHT, nowMs: number): StationReading[] {
  const [value, perHour] = NIGHT[of];
  return Array.from({ length: STEPS }, (_, back) => {
    const ms = back * STEP_MS;
    return { of, value: Number((value - (perHour * ms) / 3_600_000).toFixed(2)), at: new Date(nowMs - ms).toISOString() };
  }).toReversed();
} // prettier-ignore

/** A tub that is put on the scale empty and full in turn, kg: at rest, but for the moment when it is changed. */
const TUB = { emptyKg: 0.826, fullKg: 1.188, restS: 9, moveS: 2 } as const;

function weightAt(ms: number): number {
  const { emptyKg, fullKg, restS, moveS } = TUB;
  const turn = restS + moveS;
  const second = Math.floor(ms / 1000) % (2 * turn);
  const [from, to] = second < turn ? [emptyKg, fullKg] : [fullKg, emptyKg];
  const into = (second % turn) - restS;
  return Number((into < 0 ? from : from + ((to - from) * (into + 1)) / (moveS + 1)).toFixed(3));
}

const scale = (nowMs: number): StationReading[] =>
  [3, 2, 1, 0].map((back) => {
    const ms = nowMs - back * 1000;
    return { of: 'scale', value: weightAt(ms), at: new Date(ms).toISOString() };
  });

/**
 * What the stand-in answers.
 *
 * @param nowMs ms since 1970
 */
export const standInAnswer = (of: StationQuantity, nowMs: number): StationAnswer => ({
  format: 'steady-scatter.station/1',
  name: 'Stand-in station',
  isSimulated: true,
  readings: of === 'scale' ? scale(nowMs) : weather(of, nowMs),
});

/** Starts the stand-in on a port of its own, for this machine alone. */
export async function startStandIn(now: () => number = Date.now): Promise<StandIn> {
  const server = createServer((request, response) => {
    const of = new URL(request.url ?? '/', 'http://stand-in').searchParams.get('of') as StationQuantity;
    response.setHeader('Content-Type', 'application/json');
    response.end(JSON.stringify(standInAnswer(of, now())));
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  server.unref();
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://127.0.0.1:${port}/readings`,
    close: () =>
      new Promise((resolve) => {
        server.closeAllConnections();
        server.close(() => resolve());
      }),
  };
}
