import { pino } from 'pino';
import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { createApp } from './app.ts';
import { DeviceRow } from './models/index.ts';
import { openHarness, type Harness } from './testing/harness.ts';
import type { Network } from './trust.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

const NETWORK: Network = {
  publicUrl: 'http://192.0.2.7:4310',
  addresses: ['http://192.0.2.7:4310'],
  code: '1234 5678',
  trustProxy: [],
};
const onNetwork = () => {
  const { sequelize, crewId } = harness;
  return createApp({ sequelize, crewId, logger: pino({ level: 'silent' }), webRoot: null, network: NETWORK });
};
/** As another device of the network asks: by the machine's address. */
const phone = { Host: '192.0.2.7:4310' };

it('the machine itself needs no code, and is told it; another device is told nothing and let in nowhere', async () => {
  const app = onNetwork();
  await request(app).get('/api/jobs').expect(200);
  expect((await request(app).get('/api/here').expect(200)).body).toMatchObject({
    trusted: true,
    code: NETWORK.code,
  });
  expect((await request(app).get('/api/here').set(phone).expect(200)).body).toEqual({ publicUrl: NETWORK.publicUrl, trusted: false, addresses: [], code: null }); // prettier-ignore
  const refused = await request(app).get('/api/jobs').set(phone).expect(401);
  expect(refused.body.title).toBe('Not paired');
  // Nor through a proxy on the machine, which comes from loopback too.
  await request(app).get('/api/jobs').set('X-Forwarded-For', '192.0.2.9').expect(401);
});

it('a device is asked once: the code pairs it, a token stays with it and only its hash here; forgotten, it is asked again', async () => {
  const app = onNetwork();
  const pair = (code: string) => request(app).post('/api/pair').set(phone).send({ code, name: 'M. Orr’s phone' });
  expect((await pair('0000 0000').expect(403)).body.detail).toContain('eight digits');
  const paired = await pair('12345678').expect(204);
  const [cookie] = paired.get('Set-Cookie') ?? [];
  expect(cookie).toMatch(/HttpOnly/);
  const carried = { ...phone, Cookie: cookie!.split(';')[0]! };
  await request(app).get('/api/jobs').set(carried).expect(200);
  const row = await DeviceRow.findOne({ where: { crewId: harness.crewId } });
  expect(cookie).not.toContain(row!.tokenHash);
  // A new start has another code; the device stays paired.
  await request(onNetwork()).get('/api/jobs').set(carried).expect(200);
  await request(app).delete(`/api/devices/${row!.id}`).expect(204);
  await request(app).get('/api/jobs').set(carried).expect(401);
}); // prettier-ignore

it('guessing ends', async () => {
  const app = onNetwork();
  const guess = () => request(app).post('/api/pair').set(phone).send({ code: '1', name: 'x' });
  for (let at = 0; at < 20; at += 1) await guess().expect(403);
  await guess().expect(429);
  await request(app).post('/api/pair').set(phone).send({ code: '12345678', name: 'x' }).expect(429);
});

it('without a network nobody can pair', async () => {
  await request(harness.app).post('/api/pair').send({ code: '', name: 'x' }).expect(403);
  await request(harness.app).get('/api/jobs').set({ Host: 'elsewhere.example' }).expect(401);
});
