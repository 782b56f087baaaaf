// Requests that nobody would write, over every route of the API, with what was taken read back, and health measured beside.
import { request } from 'node:http';
import { gzipSync } from 'node:zlib';
import { startInstance } from '../lib/instance.mjs';
import { watchHealth } from './health.mjs';
import { demo, newId, written } from './jobs.mjs';
import { ms, note, numbersFrom, quantile } from './table.mjs';

/** @typedef {{ status: number, body: string }} Answer */
/** @typedef {() => number} Numbers */

const AT_ONCE = 6;
const KINDS = /** @type {const} */ ([
  ['jobs', 'jobs'],
  ['products', 'products'],
  ['sites', 'sites'],
  ['rigs', 'rigs'],
  ['calibrations', 'calibrations'],
  ['width-tests', 'widthTests'],
  ['nozzles', 'nozzles'],
  ['soil-tests', 'soilTests'],
  ['rule-sets', 'ruleSets'],
]);

/** What no person types, and what some do. */
const JUNK = [null, true, -0, 0, 1, -1, 1e308, -1e-308, 1e21, 0.1, '', ' ', 'x', '0', '-0', '1e999', '٣', '½', '62 x 38', '999999999999999999999', '2026-02-30', '2026-04-18', 'NaN', '\u0000', '\ud800', '🌱'.repeat(40), 'a'.repeat(500), 'a'.repeat(70_000), "'; DROP TABLE jobs; --", '<script>', '../../etc/passwd', [], {}, [[]], { a: 1 }, Array.from({ length: 2000 }, () => 0), { __proto__: null }, '{"a":1}', '2026-04-18T00:00:00Z']; // prettier-ignore

/** @template T @param {readonly T[]} list @param {Numbers} number @returns {T} */
const pick = (list, number) => /** @type {T} */ (list[Math.floor(number() * list.length)]);

/** Something to look for. @param {Numbers} number */
const sought = (number) => encodeURIComponent(JSON.stringify(pick(JUNK, number)).slice(0, 150));

/** Changes a value in some places. @param {any} value @param {Numbers} number @param {number} share @returns {any} */
function mutated(value, number, share) {
  if (number() < share) return pick(JUNK, number);
  if (Array.isArray(value)) {
    const all = value.map((each) => mutated(each, number, share));
    if (number() < share * 2 && all.length > 0) return [...all, ...all, ...all];
    return all;
  }
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).filter(() => number() > share / 3);
  const own = Object.fromEntries(entries.map(([key, each]) => [key, mutated(each, number, share)]));
  return number() < share / 3 ? { ...own, more: pick(JUNK, number) } : own;
}

/**
 * @param {string} address
 * @param {{ method: string, path: string, headers?: Record<string, string>, body?: string | Buffer }} asked
 * @returns {Promise<Answer>} status 0 where the connection was ended
 */
function send(address, { method, path, headers = {}, body }) {
  const { hostname, port } = new URL(address);
  return new Promise((resolve) => {
    const asked = request({ hostname, port, method, path, headers, timeout: 20_000 }, (answer) => {
      let said = '';
      answer.on('data', (chunk) => (said += chunk));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body: said }));
      answer.on('error', () => resolve({ status: 0, body: 'broken off' }));
    });
    asked.on('timeout', () => asked.destroy(new Error('timeout')));
    asked.on('error', (error) =>
      resolve({ status: error.message === 'timeout' ? -1 : 0, body: error.message }),
    );
    asked.end(body);
  });
}

const JSON_TYPE = { 'Content-Type': 'application/json' };

/** A document as it is written, changed here and there. @param {string} kind @param {Numbers} number */
function bodyOf(kind, number) {
  const body = structuredClone(written(kind, pick(demo[kind], number).input));
  for (const area of /** @type {any} */ (body.input).worksheet?.areas ?? []) area.id = newId();
  return mutated(body, number, pick([0, 0, 0.002, 0.01, 0.05, 0.3], number));
}

/** One request that is no document. @param {Numbers} number */
function strange(number) {
  const [kind] = pick(KINDS, number);
  const id = newId();
  const path = `/api/${kind}/${id}`;
  return pick(
    [
      { method: 'GET', path: `/api/${kind}/%E0%A4%A` },
      { method: 'GET', path: '/%' },
      { method: 'GET', path: '/assets/%c0%ae%c0%ae/secret.js' },
      { method: 'GET', path: '/assets/gone-12345678.js' },
      { method: 'GET', path: '/../../etc/passwd' },
      { method: 'GET', path: `/api/${kind}/${'x'.repeat(3000)}` },
      { method: 'GET', path: `/api/${kind}?limit=-1&cursor=%00` },
      { method: 'GET', path: `/api/${kind}?cursor=${pick(['W10', 'WyIiLG51bGwsIngiXQ', '%00'], number)}` },
      { method: 'GET', path: `/api/${kind}?filter=${encodeURIComponent(pick(['uses:x', "name:' OR 1=1", 'name>=\u0000', 'nowhere:1'], number))}` },
      { method: 'GET', path: `/api/${kind}/documents?ids=${id},x` },
      { method: 'GET', path: `${path}/raw` },
      { method: 'GET', path: `/api/search?${sought(number)}` },
      { method: 'PUT', path, headers: { ...JSON_TYPE, 'Content-Encoding': 'gzip' }, body: '{"not":"zipped"}' },
      { method: 'PUT', path, headers: { ...JSON_TYPE, 'Content-Encoding': 'br' }, body: 'x' },
      { method: 'PUT', path, headers: { ...JSON_TYPE, 'Content-Encoding': 'nonsense' }, body: '{}' },
      { method: 'PUT', path, headers: { ...JSON_TYPE, 'Content-Encoding': 'gzip' }, body: gzipSync(Buffer.alloc(30_000_000, 32)) },
      { method: 'PUT', path, headers: { 'Content-Type': 'text/xml' }, body: '<x/>' },
      { method: 'PUT', path, headers: { 'Content-Type': 'application/json; charset=utf-16' }, body: '{}' },
      { method: 'PUT', path, headers: JSON_TYPE, body: '{"version":0,' },
      { method: 'PUT', path, headers: JSON_TYPE, body: Buffer.from([0x22, 0xff, 0xfe, 0x22]) },
      { method: 'PUT', path, headers: JSON_TYPE, body: '['.repeat(100_000) },
      { method: 'PUT', path, headers: JSON_TYPE, body: `"${'a'.repeat(5_000_000)}"` },
      { method: 'PUT', path, headers: JSON_TYPE, body: 'null' },
      { method: 'PUT', path: `/api/${kind}/1;%20DROP%20TABLE`, headers: JSON_TYPE, body: '{}' },
      { method: 'POST', path: `${path}/restore` },
      { method: 'DELETE', path },
      { method: 'PATCH', path, headers: JSON_TYPE, body: '{}' },
      { method: 'POST', path: '/api/products/batch', headers: JSON_TYPE, body: JSON.stringify({ schemaVersion: 1, documents: Array.from({ length: 600 }, () => ({})) }) },
      { method: 'POST', path: '/api/products/batch', headers: JSON_TYPE, body: JSON.stringify({ schemaVersion: demo.schemaVersions.products, documents: [{ id, input: pick(demo.products, number).input }] }) },
      { method: 'POST', path: '/api/products/batch/delete', headers: JSON_TYPE, body: JSON.stringify({ ids: [id, 'x'] }) },
      { method: 'POST', path: '/api/pair', headers: JSON_TYPE, body: JSON.stringify({ code: pick(JUNK, number), name: pick(JUNK, number) }) },
      { method: 'POST', path: '/api/restore', headers: { 'Content-Type': 'application/zip' }, body: 'PK\u0005\u0006nothing' },
      { method: 'DELETE', path: `/api/devices/${id}` },
      { method: 'GET', path: '/api/devices' },
      { method: 'GET', path: '/api/here' },
      { method: 'GET', path: '/api/openapi.json' },
      { method: 'GET', path: '/api/nowhere' },
      { method: 'OPTIONS', path },
      { method: 'HEAD', path: `/api/${kind}` },
    ],
    number,
  ); // prettier-ignore
}

/** Outlines over outlines, as rugged as one likes: what takes long to work out. @param {Numbers} number */
function ruggedSite(number) {
  const rings = Math.ceil(number() * 20);
  const points = Math.ceil(number() * 2500) + 3;
  const apart = pick([0, 5, 300], number);
  const ring = (/** @type {number} */ at) => Array.from({ length: points }, (_, step) => {
    const far = 60 + 40 * number();
    const turn = (2 * Math.PI * step) / points;
    return [at * apart + far * Math.cos(turn), far * Math.sin(turn)];
  }); // prettier-ignore
  const site = structuredClone(demo.sites[0].input);
  const [area] = site.areas;
  site.areas = [{ ...area, id: newId(), layoutMode: 'placed', edges: number() < 0.3 ? [{ id: 'e', kind: 'water', along: 'all', part: '', from: '', to: '', length: '', buffer: '4', unit: 'm' }] : [], parts: Array.from({ length: rings }, (_, index) => ({ id: `p${index}`, kind: 'boundary', cut: number() < 0.3, outlines: [ring(index)], from: '', off: '', unit: 'm', at: { x: 0, y: 0, turn: 0 } })) }]; // prettier-ignore
  return written('sites', site);
}

/** A tenth of all is strange, one in three hundred is hard to work out, the rest are documents. @param {Numbers} number */
function next(number) {
  const which = number();
  if (which < 0.1) return strange(number);
  if (which < 0.103) return { method: 'PUT', path: `/api/sites/${newId()}`, headers: JSON_TYPE, body: JSON.stringify(ruggedSite(number)) }; // prettier-ignore
  const [path, kind] = pick(KINDS, number);
  if (which < 0.106) return { method: 'GET', path: `/api/${path}?sort=${pick(['name', '-name', 'changedAt'], number)}&${sought(number)}` }; // prettier-ignore
  return { method: 'PUT', path: `/api/${path}/${newId()}`, headers: JSON_TYPE, body: JSON.stringify(bodyOf(kind, number)) }; // prettier-ignore
}

/**
 * What was taken stands there as it was sent, and taking it again changes nothing; what is unlike, in words. What took nearly as long to
 * check as it may is now and then refused the second time.
 *
 * @param {string} address @param {{ path: string, body?: string | Buffer }} asked
 */
async function readBack(address, asked) {
  const sent = JSON.parse(String(asked.body));
  const read = await send(address, { method: 'GET', path: asked.path });
  const kept = JSON.parse(read.body);
  /** @type {(mine: any, theirs: any) => boolean} */
  const holds = (mine, theirs) =>
    typeof mine === 'object' && mine !== null
      ? Object.keys(mine).every((key) => holds(mine[key], theirs?.[key]))
      : mine === theirs || (mine === 0 && theirs === 0) || (typeof mine === 'string' && mine.replace(/\s+/g, ' ').trim() === theirs); // prettier-ignore
  const { version: _, schemaVersion: __, ...own } = sent;
  const again = await send(address, {
    method: 'PUT',
    path: asked.path,
    headers: JSON_TYPE,
    body: String(asked.body),
  });
  const told = JSON.parse(again.body);
  const isSame =
    again.status === 200 ? told.version === kept.version : told.type === '/problems/too-much-work';
  await send(address, { method: 'DELETE', path: asked.path });
  if (read.status !== 200 || !holds(own, kept)) return `read as ${read.status} ${read.body.slice(0, 200)}`;
  return isSame ? null : `taken again as ${again.status} ${again.body.slice(0, 200)}`;
}

/** @param {{ folder: string, port: number, requests: number, seed: number }} how */
export async function soakFuzz({ folder, port, requests, seed }) {
  const number = numbersFrom(seed);
  const { address, child, ended } = await startInstance({
    folder,
    port,
    env: { REQUESTS_PER_MINUTE: '1000000' },
  });
  const endWatch = watchHealth(address);
  /** @type {Map<string, number>} */
  const statuses = new Map();
  /** @type {string[]} */
  const wrong = [];
  let [taken, unlike, left] = [0, 0, requests];
  async function ask() {
    while (left > 0) {
      left -= 1;
      const asked = next(number);
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      const { status, body } = await send(address, asked);
      const group = status >= 100 ? `${Math.floor(status / 100)}xx` : status < 0 ? 'none' : 'ended';
      statuses.set(group, (statuses.get(group) ?? 0) + 1);
      if (status >= 500 || status < 0) wrong.push(`${status} ${asked.method} ${asked.path.slice(0, 90)} ${body.slice(0, 200)} <- ${String(asked.body ?? '').slice(0, 300)}`); // prettier-ignore
      if (status !== 200 || asked.method !== 'PUT') continue;
      taken += 1;
      // oxlint-disable-next-line no-await-in-loop
      const found = await readBack(address, asked);
      if (found === null) continue;
      unlike += 1;
      wrong.push(`unlike ${asked.path}: ${found} <- ${String(asked.body).slice(0, 300)}`);
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, ask));
  const { times, failures } = await endWatch();
  child.kill('SIGTERM');
  await ended;
  for (const line of wrong.slice(0, 12)) process.stdout.write(`  ${line}\n`);
  const told = [...statuses].map(([group, count]) => `${count} ${group}`).join(', '); // prettier-ignore
  const slowest = quantile(times, 1);
  note(
    'fuzz over every route',
    `${requests} requests, ${AT_ONCE} at once; health ten times a second beside`,
    `${told}; ${taken} taken and read back, ${unlike} unlike; health at most ${ms(slowest)}, 99 % within ${ms(quantile(times, 0.99))}, ${failures} failed`,
    wrong.length === 0 && failures === 0 && slowest <= 250,
  );
}
