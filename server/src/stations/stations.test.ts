import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { scaleAtRest, stationAnswer, stationNow } from '@steady-scatter/core/winter';
import request from 'supertest';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { openHarness, type Harness } from '../testing/harness.ts';
import { askStation } from './askStation.ts';
import { standInAnswer, startStandIn } from './standIn.ts';

const open: Server[] = [];
afterEach(() => {
  for (const server of open.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
});

/** A station that answers as it is told; gives its address. */
async function station(answer: RequestListener): Promise<string> {
  const server = createServer(answer);
  open.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}/readings?key=1`;
}
const detail = (address: string | null, timeoutMs?: number) =>
  askStation(address, 'pavement', timeoutMs).then(
    () => 'answered',
    (error: Error & { code?: string }) => `${error.code}: ${error.message}`,
  );
const ANSWER = { format: 'steady-scatter.station/1', name: 'Bridge', isSimulated: false, readings: [{ of: 'pavement', value: -4, at: '2026-12-04T03:00:00.000Z' }] }; // prettier-ignore

describe('a station', () => {
  it('is asked at its address for one quantity, and answers readings', async () => {
    let asked = '';
    const address = await station((question, response) => {
      asked = question.url ?? '';
      response.end(JSON.stringify(ANSWER));
    });
    expect(await askStation(address, 'pavement')).toEqual(ANSWER);
    expect(asked).toBe('/readings?key=1&of=pavement');
  });

  it.each<[string, RequestListener, RegExp]>([
    ['answers something else', (_, response) => void response.end('{"temp": 25}'), /cannot be read/],
    ['answers no JSON', (_, response) => void response.end('<html>'), /cannot be read/],
    ['answers that it cannot', (_, response) => void response.writeHead(500).end('{}'), /does not answer/],
    ['sends elsewhere', (_, response) => void response.writeHead(302, { Location: 'http://127.0.0.1:1/' }).end(), /does not answer/], // prettier-ignore
    ['answers without end', (_, response) => void response.end('x'.repeat(300_000)), /far more/],
    ['breaks off', (_, response) => void response.destroy(), /does not answer/],
  ])('that %s is told as that, and the reading is typed', async (_, answer, told) => {
    const words = await detail(await station(answer));
    expect(words).toMatch(/^station-down: /);
    expect(words).toMatch(told);
    expect(words).toMatch(/Type the reading/);
  });

  it('that is silent is not waited for, and without one nobody is asked', async () => {
    const silent = await station(() => undefined);
    expect(await detail(silent, 100)).toMatch(/does not answer/);
    expect(await detail(null)).toMatch(/No station is set up/);
  });
});

describe('the stand-in', () => {
  const now = Date.parse('2026-12-04T03:00:00.000Z');

  it('says that it is made up, in the format of a real one', () => {
    for (const of of ['pavement', 'air', 'scale', 'wind', 'rain'] as const) {
      const answer = stationAnswer.parse(standInAnswer(of, now));
      expect(answer.isSimulated).toBe(true);
      expect(new Set(answer.readings.map((reading) => reading.of))).toEqual(new Set([of]));
    }
  });

  it('stands in a night that falls through 25 °F', () => {
    const { value, trend } = stationNow(standInAnswer('pavement', now).readings, 'pavement', now)!;
    expect(value * 1.8 + 32).toBeCloseTo(25, 1);
    expect(trend).toBe('falling');
  });

  it('weighs a tub that is empty and full in turn, and moves in between', () => {
    const seen = Array.from({ length: 44 }, (_, second) => scaleAtRest(standInAnswer('scale', now + second * 1000).readings)); // prettier-ignore
    expect(new Set(seen)).toEqual(new Set([0.826, 1.188, null]));
  });
});

describe('over the wire', () => {
  let harness: Harness;
  let standIn: Awaited<ReturnType<typeof startStandIn>>;
  beforeAll(async () => {
    standIn = await startStandIn();
    harness = await openHarness({ station: standIn.address });
  });
  afterAll(async () => {
    await harness.close();
    await standIn.close();
  });

  it('readings come through, and a quantity that no station has is refused', async () => {
    const { body } = await request(harness.app).get('/api/station?of=pavement').expect(200);
    expect(body).toMatchObject({ isSimulated: true, name: 'Stand-in station' });
    await request(harness.app).get('/api/station?of=mood').expect(400);
  });
});
