// npm run growth [minutes]: how fast the server is when a crew has worked with it for years: 10 000 jobs, 500 products, 300 calibrations
// of 20 runs, 200 sites of 10 areas. On a private instance; prints the table of docs/method.md. With minutes, memory is watched as long.
import { execFileSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { freePort, stopDatabase } from './lib/database.mjs';
import { startInstance } from './lib/instance.mjs';
import { ensureDebian } from './lib/packages.mjs';
import { watchHealth } from './soak/health.mjs';
import { demo, newId, newJob } from './soak/jobs.mjs';
import { ms, note, numbersFrom, printTable, quantile } from './soak/table.mjs';

const JOBS = 10_000;
const PRODUCTS = 500;
const CALIBRATIONS = 300;
const RUNS = 20;
const SITES = 200;
const AREAS = 10;
const LISTS = ['jobs', 'products', 'sites', 'rigs', 'calibrations', 'width-tests', 'soil-tests', 'rule-sets'];

const minutes = Number(process.argv[2] ?? 0);
const number = numbersFrom(20_261_126);
const agent = new Agent({ keepAlive: true, maxSockets: 100 });

/** @param {string} address @param {{ method?: string, path: string, body?: unknown }} asked @returns {Promise<{ status: number, body: string, time: number }>} */
function ask(address, { method = 'GET', path, body }) {
  return new Promise((resolve, reject) => {
    const began = performance.now();
    const headers = body === undefined ? {} : { 'Content-Type': 'application/json' };
    const asked = request(`${address}${path}`, { method, agent, headers }, (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (piece) => (text += piece));
      response.on('end', () =>
        resolve({ status: response.statusCode ?? 0, body: text, time: performance.now() - began }),
      );
    });
    asked.on('error', reject);
    asked.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

/** @template T @param {readonly T[]} list @returns {T} */
const pick = (list) => /** @type {T} */ (list[Math.floor(number() * list.length)]);
const many = (/** @type {number} */ count, /** @type {(index: number) => object} */ make) => Array.from({ length: count }, (_, index) => ({ id: newId(), input: make(index) })); // prettier-ignore

/** Things of one kind, put there in batches. @param {string} address @param {string} kind @param {{ id: string, input: object }[]} documents @param {number} atOnce */
async function bring(address, kind, documents, atOnce) {
  const schemaVersion = demo.schemaVersions[kind];
  for (let from = 0; from < documents.length; from += atOnce) {
    const body = { schemaVersion, documents: documents.slice(from, from + atOnce) };
    // oxlint-disable-next-line no-await-in-loop -- one batch after the other
    const { status, body: said } = await ask(address, { method: 'POST', path: `/api/${kind}/batch`, body });
    if (status !== 204) throw new Error(`${kind}: ${status} ${said.slice(0, 300)}`);
  }
}

/** A test run as a phone appends it. @param {string} subject */
const testRun = (subject) => ({ method: 'POST', path: '/api/test-runs', body: { id: newId(), subject, first: null, occurredAt: new Date().toISOString(), schemaVersion: demo.schemaVersions.testRuns, input: pick(demo.testRuns).input } }); // prettier-ignore

/** @param {string} address */
async function grow(address) {
  const day = (/** @type {number} */ index) => new Date(Date.UTC(2016, 0, 1 + (index % 3900))).toISOString().slice(0, 10); // prettier-ignore
  await bring(address, 'products', many(PRODUCTS, (index) => ({ ...pick(demo.products).input, name: `Product ${index}` })), 250); // prettier-ignore
  const site = demo.sites[0].input;
  const sites = many(SITES, (index) => ({ ...site, name: `Site ${index}`, areas: Array.from({ length: AREAS }, (_, index) => ({ ...site.areas[0], id: newId(), name: `Area ${index}` })) })); // prettier-ignore
  await bring(address, 'sites', sites, 50);
  const calibration = demo.calibrations[0].input;
  const calibrations = many(CALIBRATIONS, (index) => ({ ...calibration, name: `Calibration ${index}` }));
  await bring(address, 'calibrations', calibrations, 100);
  const runs = calibrations.flatMap(({ id }) => Array.from({ length: RUNS }, () => testRun(id)));
  for (let from = 0; from < runs.length; from += 20)
    // oxlint-disable-next-line no-await-in-loop -- twenty at once
    await Promise.all(runs.slice(from, from + 20).map((run) => ask(address, run)));
  const jobs = many(JOBS, (index) => {
    const { input } = newJob(`Feed ${index}`);
    return { ...input, onDay: day(index) };
  });
  await bring(address, 'jobs', jobs, 250);
}

/** @param {string} address @param {(index: number) => { method?: string, path: string, body?: unknown }} asking @param {number} times */
async function timed(address, asking, times) {
  const found = [];
  for (let index = 0; index < times; index += 1) {
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    const { status, time, body } = await ask(address, asking(index));
    if (status >= 300) throw new Error(`${status} ${body.slice(0, 200)}`);
    found.push(time);
  }
  return found;
}

/** Clients that ask one thing after the other. @param {number} clients @param {number} seconds @param {() => Promise<{ status: number, time: number }>} one */
async function crowd(clients, seconds, one) {
  /** @type {number[]} */
  const times = [];
  let failures = 0;
  const until = Date.now() + seconds * 1000;
  const client = async () => {
    while (Date.now() < until) {
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      const { status, time } = await one();
      if (status >= 300) failures += 1;
      times.push(time);
    }
  };
  await Promise.all(Array.from({ length: clients }, client));
  return { times, failures, perSecond: Math.round(times.length / seconds) };
}

/** Memory of a process, MB. @param {number} pid */
const memory = (pid) =>
  Number(execFileSync('ps', ['-o', 'rss=', '-p', String(pid)], { encoding: 'utf8' })) / 1024;

/** @param {string} address */
async function alone(address) {
  for (const list of LISTS) {
    // oxlint-disable-next-line no-await-in-loop -- one after the other
    const times = await timed(address, () => ({ path: `/api/${list}` }), 100);
    note(`first page of ${list}`, '100 times', `95 % within ${ms(quantile(times, 0.95))}`, quantile(times, 0.95) < 50); // prettier-ignore
  }
  const sorts = await timed(address, () => ({ path: `/api/jobs?sort=${pick(['name', '-amountSi', 'product', '-changedAt'])}` }), 100); // prettier-ignore
  note('jobs, sorted by other columns', '100 times', `95 % within ${ms(quantile(sorts, 0.95))}`, quantile(sorts, 0.95) < 50); // prettier-ignore
  const searches = await timed(address, () => ({ path: `/api/search?q=${pick(['feed 77', 'bandstand', 'lake', 'zzz', 'product 4'])}` }), 100); // prettier-ignore
  note('search over all kinds', '100 times', `95 % within ${ms(quantile(searches, 0.95))}`, quantile(searches, 0.95) < 100); // prettier-ignore
  const found = await timed(address, () => ({ path: `/api/jobs?q=${pick(['feed 77', 'bandstand', 'zzz'])}` }), 100); // prettier-ignore
  note('search in the jobs', '100 times', `95 % within ${ms(quantile(found, 0.95))}`, quantile(found, 0.95) < 100); // prettier-ignore
  const { items } = JSON.parse((await ask(address, { path: '/api/calibrations?limit=200' })).body);
  /** @type {string[]} */
  const ids = items.map((/** @type {{ id: string }} */ { id }) => id);
  const few = await timed(address, (index) => testRun(ids[index % ids.length] ?? ''), 200);
  note('a test run is appended', `${ids.length} calibrations of ${RUNS} runs`, `95 % within ${ms(quantile(few, 0.95))}`, quantile(few, 0.95) < 30); // prettier-ignore
  const many = await timed(address, () => testRun(ids[0] ?? ''), 600);
  const last = quantile(many.slice(-100), 0.95);
  note('and to a calibration of 500', 'the last 100 of 600', `95 % within ${ms(last)}`, last < 30);
  const openRun = newId();
  const steps = await timed(address, (version) => ({ method: 'PUT', path: `/api/open-runs/${openRun}`, body: { version, schemaVersion: demo.schemaVersions.openRuns, input: { ...demo.openRuns[0].input, calibration: ids[0], note: `step ${version}` } } }), 100); // prettier-ignore
  note('a step of a test run is saved', 'of that calibration, 100 times', `95 % within ${ms(quantile(steps, 0.95))}`, quantile(steps, 0.95) < 30); // prettier-ignore
  const read = await timed(address, () => ({ path: `/api/test-runs?subject=${ids[0]}&limit=500` }), 50);
  note('500 test runs are read', '50 times', `95 % within ${ms(quantile(read, 0.95))}`, quantile(read, 0.95) < 100); // prettier-ignore
}

/** @param {string} address */
async function together(address) {
  const endWatch = watchHealth(address);
  const lists = await crowd(20, 20, () => ask(address, { path: `/api/${pick(LISTS)}` }));
  const health = await endWatch();
  note('20 clients who list', '20 s', `${lists.perSecond} lists/s, 99 % within ${ms(quantile(lists.times, 0.99))}, ${lists.failures} failed; health 99 % within ${ms(quantile(health.times, 0.99))}`, quantile(health.times, 0.99) < 100 && lists.failures === 0); // prettier-ignore
  const mixed = await crowd(50, 30, () => {
    if (number() < 0.2) return ask(address, { method: 'PUT', path: `/api/jobs/${newId()}`, body: newJob('Feed of the crowd') }); // prettier-ignore
    return ask(address, { path: `/api/${pick(LISTS)}` });
  });
  note('50 clients, one write in five', '30 s', `${mixed.perSecond} requests/s, 99 % within ${ms(quantile(mixed.times, 0.99))}, ${mixed.failures} failed`, quantile(mixed.times, 0.99) < 250 && mixed.perSecond >= 600 && mixed.failures === 0); // prettier-ignore
}

/** @param {string} address @param {number} pid */
async function longer(address, pid) {
  const load = () => crowd(10, 60, () => ask(address, { path: `/api/${pick(LISTS)}` }));
  // The first minutes fill what is kept at hand.
  await load();
  await load();
  const before = memory(pid);
  // oxlint-disable-next-line no-await-in-loop -- one minute after the other
  for (let minute = 0; minute < minutes; minute += 1) await load();
  const after = memory(pid);
  note('memory of the server', `10 clients for ${minutes} min, after two to warm up`, `${before.toFixed(0)} MB, then ${after.toFixed(0)} MB`, after < before * 1.05); // prettier-ignore
}

const parent = mkdtempSync(join(tmpdir(), 'steady-growth-'));
chmodSync(parent, 0o755);
await ensureBuilt();
await ensureDebian('mariadb');
const folder = join(parent, 'data');
// So much heap that it is collected now and then: what grows on in spite of that is kept by somebody.
const heap = minutes > 0 ? { NODE_OPTIONS: '--max-old-space-size=192' } : {};
const env = { REQUESTS_PER_MINUTE: '100000000', ...heap };
const { address, child, ended, said } = await startInstance({ folder, port: await freePort(4480), env });
try {
  if (address === '') throw new Error(said());
  const began = performance.now();
  await grow(address);
  process.stdout.write(`grown in ${Math.round((performance.now() - began) / 1000)} s\n`);
  await timed(address, (index) => ({ path: `/api/${LISTS[index % LISTS.length]}` }), 80);
  await alone(address);
  await together(address);
  if (minutes > 0) await longer(address, child.pid ?? 0);
} finally {
  agent.destroy();
  child.kill('SIGTERM');
  await ended;
  await stopDatabase(folder);
  rmSync(parent, { recursive: true, force: true });
}
process.exitCode = printTable() ? 0 : 1;
