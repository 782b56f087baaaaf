// Many clients for a minute, one write in five, health measured beside; and new jobs written by twelve at once.
import { startInstance } from '../lib/instance.mjs';
import { watchHealth } from './health.mjs';
import { newId, newJob } from './jobs.mjs';
import { ms, note, numbersFrom, quantile } from './table.mjs';

const CLIENTS = 50;
const NEW_AT_ONCE = 12;
const LISTS = ['jobs', 'products', 'sites', 'rigs', 'calibrations', 'width-tests'];

/** @param {{ folder: string, port: number, seconds: number, seed: number }} how */
export async function soakCrowd({ folder, port, seconds, seed }) {
  const number = numbersFrom(seed);
  const { address, child, ended } = await startInstance({
    folder,
    port,
    env: { REQUESTS_PER_MINUTE: '1000000' },
  });
  const json = { 'Content-Type': 'application/json' };
  const put = () => fetch(`${address}/api/jobs/${newId()}`, { method: 'PUT', headers: json, body: JSON.stringify(newJob('Soak')) }); // prettier-ignore

  /** @type {number[]} */
  const statuses = [];
  const writers = Array.from({ length: NEW_AT_ONCE }, async () => {
    for (let index = 0; index < 100; index += 1) {
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      const answer = await put();
      statuses.push(answer.status);
      // oxlint-disable-next-line no-await-in-loop
      await fetch(`${address}/api/jobs/${(await answer.json()).id}`, { method: 'DELETE' });
    }
  });
  await Promise.all(writers);
  const failed = statuses.filter((status) => status !== 200).length;
  note(
    'new jobs at once',
    `${NEW_AT_ONCE} clients, ${statuses.length} new jobs`,
    `${failed} failed`,
    failed === 0,
  );

  const endWatch = watchHealth(address);
  /** @type {number[]} */
  const times = [];
  let failures = 0;
  const until = Date.now() + seconds * 1000;
  const clients = Array.from({ length: CLIENTS }, async () => {
    while (Date.now() < until) {
      const began = performance.now();
      const kind = LISTS[Math.floor(number() * LISTS.length)];
      try {
        // oxlint-disable-next-line no-await-in-loop -- one after the other
        const answer = number() < 0.2 ? await put() : await fetch(`${address}/api/${kind}`);
        // oxlint-disable-next-line no-await-in-loop
        const body = await answer.text();
        if (!answer.ok) failures += 1;
        times.push(performance.now() - began);
        // Taken away again, so that the list stays what a crew has.
        // oxlint-disable-next-line no-await-in-loop
        if (body.includes('"input":{"name":"Soak"')) await fetch(`${address}/api/jobs/${JSON.parse(body).id}`, { method: 'DELETE' }); // prettier-ignore
      } catch {
        failures += 1;
      }
    }
  });
  await Promise.all(clients);
  const health = await endWatch();
  child.kill('SIGTERM');
  await ended;
  note(
    'a crowd',
    `${CLIENTS} clients for ${seconds} s, one write in five`,
    `${Math.round(times.length / seconds)} requests/s, 99 % within ${ms(quantile(times, 0.99))}, ${failures} failed; health 99 % within ${ms(quantile(health.times, 0.99))}, ${health.failures} failed`,
    failures === 0 && health.failures === 0,
  );
}
