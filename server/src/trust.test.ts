import { createServer } from 'node:http';
import { pino } from 'pino';
import request from 'supertest';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { createApp } from './app.ts';
import { addressOf, isLoopback, listen, networkAddresses } from './running/address.ts';
import { DeviceRow, DocumentRow } from './models/index.ts';
import { sampleWrite } from './testing/jobs.ts';
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
const onNetwork = (more: Partial<Network> = {}) => {
  const { sequelize, crewId: homeCrewId } = harness;
  return createApp({
    sequelize,
    homeCrewId,
    logger: pino({ level: 'silent' }),
    webRoot: null,
    network: { ...NETWORK, ...more },
  });
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
  expect((await request(app).get('/api/here').set(phone).expect(200)).body).toEqual({ publicUrl: NETWORK.publicUrl, trusted: false, addresses: [], secureAddresses: [], hasAuthority: false, code: null }); // prettier-ignore
  const refused = await request(app).get('/api/jobs').set(phone).expect(401);
  expect(refused.body.type).toBe('/problems/not-paired');
});

it.each([
  'X-Forwarded-For',
  'Forwarded',
  'Via',
  'X-Real-IP',
  'X-Forwarded-Host',
  'X-Forwarded-Proto',
  'True-Client-IP',
])('what a proxy on the machine passes on with %s is not the machine itself', async (header) => {
  const app = onNetwork();
  await request(app).get('/api/jobs').set(header, '192.0.2.9').expect(401);
  expect((await request(app).get('/api/here').set(header, '192.0.2.9')).body).toMatchObject({ trusted: false, code: null }); // prettier-ignore
  await request(app).post('/api/restore').set(header, '192.0.2.9').expect(401);
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

it('guessing ends for whoever guesses, and for nobody else', async () => {
  const app = onNetwork({ trustProxy: ['loopback'] });
  const from = (address: string, code: string) =>
    request(app).post('/api/pair').set(phone).set('X-Forwarded-For', address).send({ code, name: 'x' });
  for (let index = 0; index < 20; index += 1) await from('192.0.2.66', '1').expect(403);
  await from('192.0.2.66', '1').expect(429);
  await from('192.0.2.66', '12345678').expect(429);
  await from('192.0.2.8', '12345678').expect(204);
});

it('a whole network of addresses guesses as one', async () => {
  const app = onNetwork({ trustProxy: ['loopback'] });
  const from = (last: number) =>
    request(app).post('/api/pair').set(phone).set('X-Forwarded-For', `2001:db8:1:2::${last}`).send({ code: '1', name: 'x' }); // prettier-ignore
  for (let index = 0; index < 20; index += 1) await from(index).expect(403);
  await from(99).expect(429);
});

it('the token goes over https only where the page does, and lasts from the last time that the page was looked at', async () => {
  const app = onNetwork({ trustProxy: ['loopback'] });
  const far = { ...phone, 'X-Forwarded-For': '192.0.2.8' };
  const pair = (how: Record<string, string>) => request(app).post('/api/pair').set({ ...far, ...how }).send({ code: '12345678', name: 'x' }); // prettier-ignore
  expect((await pair({})).get('Set-Cookie')?.[0]).not.toContain('Secure');
  const [cookie = ''] = (await pair({ 'X-Forwarded-Proto': 'https' })).get('Set-Cookie') ?? [];
  expect(cookie).toContain('Secure');
  const carried = { ...far, 'X-Forwarded-Proto': 'https', Cookie: cookie.split(';')[0]! };
  const [again = ''] = (await request(app).get('/api/here').set(carried)).get('Set-Cookie') ?? [];
  expect(again.split(';')[0]).toBe(cookie.split(';')[0]);
  expect(again).toContain(`Max-Age=${90 * 86_400}`);
  const day = 86_400_000;
  const unseenFor = (days: number) =>
    DeviceRow.update({ seenAt: new Date(Date.now() - days * day) }, { where: { crewId: harness.crewId } });
  // As after another start: a device that is known is not looked up for an hour.
  const later = () => onNetwork({ trustProxy: ['loopback'] });
  await unseenFor(89);
  await request(later()).get('/api/jobs').set(carried).expect(200);
  const { seenAt } = (await DeviceRow.findOne({ where: { crewId: harness.crewId }, order: [['seenAt', 'DESC']] }))!; // prettier-ignore
  expect(Date.now() - seenAt.getTime()).toBeLessThan(day);
  await unseenFor(91);
  await request(later()).get('/api/jobs').set(carried).expect(401);
});

describe('who acts', () => {
  /** A device that was just paired. */
  async function paired() {
    const app = onNetwork();
    const answer = await request(app)
      .post('/api/pair')
      .set(phone)
      .send({ code: '12345678', name: 'M. Orr’s phone' });
    const carried = { ...phone, Cookie: answer.get('Set-Cookie')![0]!.split(';')[0]! };
    const { id } = (await DeviceRow.findOne({ where: { crewId: harness.crewId }, order: [['createdAt', 'DESC']] }))!; // prettier-ignore
    return { app, carried, id };
  }
  const by = async (id: string) => {
    const row = await DocumentRow.findByPk(id);
    return { user: row?.changedByUser, device: row?.changedByDevice };
  };

  it('stands at what was changed: a device by its id, the machine itself by none', async () => {
    const { app, carried, id: device } = await paired();
    const id = v7();
    const write = sampleWrite();
    await request(app).put(`/api/jobs/${id}`).send(write).expect(200);
    expect(await by(id)).toEqual({ user: null, device: null });
    await request(app).put(`/api/jobs/${id}`).set(carried).send({ ...write, version: 1, input: { ...write.input, name: 'From the field' } }).expect(200); // prettier-ignore
    expect(await by(id)).toEqual({ user: null, device });
    await request(app).delete(`/api/jobs/${id}`).expect(204);
    expect(await by(id)).toEqual({ user: null, device: null });
  });

  it('only whoever leads forgets devices', async () => {
    const { app, carried, id } = await paired();
    const refused = await request(app).delete(`/api/devices/${id}`).set(carried).expect(403);
    expect(refused.body.type).toBe('/problems/only-here');
    await request(app).get('/api/jobs').set(carried).expect(200);
    await request(app).delete(`/api/devices/${id}`).expect(204);
    await request(app).get('/api/jobs').set(carried).expect(401);
  });

  it('one that was forgotten is told so, is listed no more, and can be paired again', async () => {
    const { app, carried, id } = await paired();
    const listed = async () => ((await request(app).get('/api/devices')).body as { id: string }[]).map((each) => each.id); // prettier-ignore
    expect(await listed()).toContain(id);
    await request(app).delete(`/api/devices/${id}`).expect(204);
    await request(app).delete(`/api/devices/${id}`).expect(404);
    expect(await listed()).not.toContain(id);
    expect((await request(app).get('/api/jobs').set(carried).expect(401)).body.type).toBe('/problems/device-forgotten'); // prettier-ignore
    const unknown = { ...phone, Cookie: 'steady-device=nobody' };
    expect((await request(app).get('/api/jobs').set(unknown).expect(401)).body.type).toBe('/problems/not-paired'); // prettier-ignore
    const again = await paired();
    await request(app).get('/api/jobs').set(again.carried).expect(200);
  });

  it('a device is looked up once, not with each request', async () => {
    const { app, carried } = await paired();
    await request(app).get('/api/jobs').set(carried).expect(200);
    const looked = vi.spyOn(DeviceRow, 'findOne');
    for (let index = 0; index < 5; index += 1) await request(app).get('/api/jobs').set(carried).expect(200);
    expect(looked).not.toHaveBeenCalled();
    looked.mockRestore();
  });

  it('a device has requests of its own, whatever others ask from the same address', async () => {
    const { sequelize, crewId: homeCrewId } = harness;
    const app = createApp({ sequelize, homeCrewId, logger: pino({ level: 'silent' }), webRoot: null, network: NETWORK, requestsPerMinute: 3 }); // prettier-ignore
    const answer = await request(app).post('/api/pair').set(phone).send({ code: '12345678', name: 'x' });
    const carried = { ...phone, Cookie: answer.get('Set-Cookie')![0]!.split(';')[0]! };
    await request(app).get('/api/jobs').set(carried).expect(200);
    for (let index = 0; index < 3; index += 1) await request(app).get('/api/health');
    await request(app).get('/api/health').expect(429);
    await request(app).get('/api/jobs').set(carried).expect(200);
  });
});

it.each([
  ['127.0.0.1', true],
  ['127.0.0.2', true],
  ['::1', true],
  ['[::1]', true],
  ['::ffff:127.0.0.1', true],
  ['LOCALHOST', true],
  ['127.0.0.1.example', false],
  ['localhost.example', false],
  ['192.0.2.7', false],
  ['0.0.0.0', false],
])('%s leads to this machine itself: %s', (host, isSo) => expect(isLoopback(host)).toBe(isSo));

it('says the address that it listens on', () => {
  expect(addressOf('127.0.0.1', 4310)).toBe('http://localhost:4310');
  expect(addressOf('0.0.0.0', 4310)).toBe('http://localhost:4310');
  expect(addressOf('127.0.0.2', 4310)).toBe('http://127.0.0.2:4310');
  expect(addressOf('2001:db8::7', 4310)).toBe('http://[2001:db8::7]:4310');
  expect(networkAddresses('127.0.0.2', 4310)).toEqual([]);
  expect(networkAddresses('192.0.2.7', 4310)).toEqual(['http://192.0.2.7:4310']);
});

it('the last port taken is said in a sentence, and so is an address that is not here', async () => {
  const taken = createServer();
  const isFree = await listen(taken, '127.0.0.1', 65_535).then(() => true, () => false); // prettier-ignore
  await expect(listen(createServer(), '127.0.0.1', 65_535)).rejects.toThrow(
    'Port 65535 and those after it are taken',
  );
  await expect(listen(createServer(), '192.0.2.7', 4390)).rejects.toThrow('this machine has no such address');
  if (isFree) taken.close();
});

it('without a network nobody can pair', async () => {
  await request(harness.app).post('/api/pair').send({ code: '', name: 'x' }).expect(403);
  await request(harness.app).get('/api/jobs').set({ Host: 'elsewhere.example' }).expect(401);
});

describe('an installation with certificates of its own', () => {
  const secure = { secureAddresses: ['https://192.0.2.7:4311'], authority: 'PEM of the authority' };

  it('tells whoever asks where it is reached by HTTPS, and hands out the certificate of its authority', async () => {
    const app = onNetwork(secure);
    const here = (await request(app).get('/api/here').set(phone).expect(200)).body;
    expect(here).toMatchObject({
      trusted: false,
      secureAddresses: secure.secureAddresses,
      hasAuthority: true,
    });
    const { headers, body } = await request(app).get('/authority.crt').set(phone).responseType('blob').expect(200); // prettier-ignore
    expect(headers['content-type']).toContain('application/x-x509-ca-cert');
    expect((body as Buffer).toString()).toBe(secure.authority);
  });

  it('hands out none where there is none', async () => {
    await request(onNetwork()).get('/authority.crt').set(phone).expect(404);
  });
});
