// Kills in the middle of acknowledged writes: of the server, of the database, of both. Nothing that was acknowledged may be lost,
// doubled or changed.
import { setTimeout as wait } from 'node:timers/promises';
import { databasePid, startInstance, until } from '../lib/instance.mjs';
import { demo, listOf, newId, newJob } from './jobs.mjs';
import { note, numbersFrom } from './table.mjs';

const WRITERS = 4;
const WHOM = /** @type {const} */ (['server', 'database', 'both']);

/** @param {string} address @param {string} id @param {object} body */
const put = (address, id, body) => fetch(`${address}/api/jobs/${id}`, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }); // prettier-ignore

/** @param {string} address @param {object} row */
const post = (address, row) => fetch(`${address}/api/applications`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(row) }); // prettier-ignore

/** Ids of all rows of a storm or a job, page after page. @param {string} address @param {string} subject @returns {Promise<string[]>} */
async function rowIds(address, subject, after = '') {
  const page = await (await fetch(`${address}/api/applications?subject=${subject}${after && `&after=${after}`}`)).json(); // prettier-ignore
  const ids = page.events.map((/** @type {{ id: string }} */ { id }) => id);
  return page.next ? [...ids, ...(await rowIds(address, subject, page.next))] : ids;
}

/**
 * @param {{ folder: string, port: number, kills: number, seed: number }} how
 */
export async function soakKills({ folder, port, kills, seed }) {
  const number = numbersFrom(seed);
  /** What was acknowledged, by its id: the name it had, and the one that may have been written after. @type {Map<string, { name: string, maybe: string | null, version: number }>} */
  const known = new Map();
  let acknowledged = 0;
  let lost = 0;
  let changed = 0;
  let instance = await startInstance({ folder, port, env: { REQUESTS_PER_MINUTE: '1000000' } });
  let count = 0;

  /** @param {AbortSignal} signal */
  async function write(signal) {
    while (!signal.aborted) {
      const old = [...known.keys()][Math.floor(number() * known.size * 3)];
      const id = old ?? newId();
      const before = known.get(id);
      const name = `Soak ${(count += 1)}`;
      if (before?.maybe) continue;
      if (before) before.maybe = name;
      try {
        // oxlint-disable-next-line no-await-in-loop -- one write after the other
        const answer = await put(instance.address, id, { ...newJob(name), version: before?.version ?? 0 });
        if (!answer.ok) continue;
        // oxlint-disable-next-line no-await-in-loop
        const { version } = await answer.json();
        known.set(id, { name, maybe: null, version });
        acknowledged += 1;
      } catch {
        // oxlint-disable-next-line no-await-in-loop -- nobody answers just now
        await wait(30);
      }
    }
  }

  /** Rows that were acknowledged, by their id, as they were sent. @type {Map<string, object>} */
  const rows = new Map();
  const [said] = demo.applications;

  /** Appends what was spread, each row once and some again. @param {AbortSignal} signal */
  async function appendRows(signal) {
    while (!signal.aborted) {
      const again = number() < 0.2 ? [...rows.values()].at(-1) : undefined;
      const row = /** @type {{ id: string }} */ (again ?? { id: newId(), subject: said.subject, first: null, occurredAt: said.occurredAt, schemaVersion: demo.schemaVersions.applications, input: { ...said.input, runId: newId() } }); // prettier-ignore
      try {
        // oxlint-disable-next-line no-await-in-loop -- one row after the other
        const answer = await post(instance.address, row);
        if (answer.ok) rows.set(row.id, row);
        else if (answer.status === 409) changed += 1;
      } catch {
        // oxlint-disable-next-line no-await-in-loop -- nobody answers just now
        await wait(30);
      }
    }
  }

  /** Every row that was acknowledged is there once, and posting one again changes nothing. */
  async function checkRows() {
    const ids = await rowIds(instance.address, said.subject);
    for (const id of rows.keys()) if (!ids.includes(id)) lost += 1;
    const last = [...rows.values()].at(-1);
    if (last && !(await post(instance.address, last)).ok) changed += 1;
    return (
      new Set(ids).size === ids.length && (await rowIds(instance.address, said.subject)).length === ids.length
    );
  }

  async function check() {
    for (const [id, { name, maybe }] of known) {
      // oxlint-disable-next-line no-await-in-loop -- one after the other
      const answer = await fetch(`${instance.address}/api/jobs/${id}`);
      // oxlint-disable-next-line no-await-in-loop
      const job = answer.ok ? await answer.json() : null;
      if (!job) lost += 1;
      else if (job.input.name !== name && job.input.name !== maybe) changed += 1;
      if (job) known.set(id, { name: job.input.name, maybe: null, version: job.version });
    }
    const list = await listOf(instance.address, 'jobs');
    return new Set(list.map(({ id }) => id)).size === list.length;
  }

  let single = true;
  for (let index = 0; index < kills; index += 1) {
    const ended = new AbortController();
    const writers = [...Array.from({ length: WRITERS }, () => write(ended.signal)), appendRows(ended.signal)];
    // oxlint-disable no-await-in-loop -- one kill after the other
    await wait(150 + number() * 700);
    const whom = WHOM[index % WHOM.length];
    const pid = databasePid(folder);
    if (whom !== 'database') instance.child.kill('SIGKILL');
    if (whom !== 'server') process.kill(pid, 'SIGKILL');
    await wait(100);
    ended.abort();
    await Promise.all(writers);
    if (whom !== 'database') {
      await instance.ended;
      instance = await startInstance({ folder, port, env: { REQUESTS_PER_MINUTE: '1000000' } });
    }
    await until(
      async () => (await fetch(`${instance.address}/api/health`).catch(() => null))?.ok === true,
      60,
    );
    single = (await check()) && (await checkRows()) && single;
    // oxlint-enable no-await-in-loop
  }
  instance.child.kill('SIGTERM');
  const code = await instance.ended;
  note(
    'kills in the middle of writes',
    `${kills} kills of server, database and both, ${acknowledged} acknowledged writes of ${known.size} jobs, ${rows.size} rows of what was spread`,
    `${lost} lost, ${changed} changed, ${single ? 'none' : 'some'} doubled; ended with ${code}`,
    lost === 0 && changed === 0 && single && code === 0,
  );
}

/**
 * Kills of the very first start, at any moment: the next start begins as if there had been none.
 * @param {{ folder: string, port: number, kills: number, seed: number }} how
 */
export async function soakFirstStarts({ folder, port, kills, seed }) {
  const number = numbersFrom(seed);
  let started = 0;
  for (let index = 0; index < kills; index += 1) {
    const own = `${folder}-${index}`;
    const first = startInstance({ folder: own, port });
    // oxlint-disable no-await-in-loop -- one start after the other
    await wait(200 + number() * 4000);
    const { pid } = await Promise.race([
      first.then(({ child }) => child),
      wait(0).then(() => ({ pid: undefined })),
    ]);
    // One that is not ready yet is found by what it holds.
    if (pid) process.kill(pid, 'SIGKILL');
    else await killStartOf(own);
    await (
      await first
    ).ended;
    const second = await startInstance({ folder: own, port });
    const jobs = second.address ? await listOf(second.address, 'jobs') : [];
    if (jobs.length === demo.jobs.length) started += 1;
    else process.stdout.write(`  ${own}: ${jobs.length} jobs\n${second.said()}\n`);
    second.child.kill('SIGTERM');
    await second.ended;
    // oxlint-enable no-await-in-loop
  }
  note('kills of the first start', `${kills} first starts killed after 0.2 to 4.2 s`, `${started} started the next time, with the sample data`, started === kills); // prettier-ignore
}

/** @param {string} folder */
async function killStartOf(folder) {
  const { otherStart } = await import('../lib/startLock.mjs');
  const other = otherStart(folder);
  if (other) process.kill(other.pid, 'SIGKILL');
}

/** @param {{ folder: string, port: number }} how */
export async function soakTwoStarts({ folder, port }) {
  const both = await Promise.all([startInstance({ folder, port }), startInstance({ folder, port })]);
  const ready = both.filter(({ address }) => address !== '');
  const told = both.some(({ said }) => said().includes('already runs on this data folder'));
  for (const { child } of ready) child.kill('SIGTERM');
  await Promise.all(both.map(({ ended }) => ended));
  const again = await startInstance({ folder, port });
  const jobs = again.address ? await listOf(again.address, 'jobs') : [];
  again.child.kill('SIGTERM');
  await again.ended;
  note('two starts at once', 'two on one new data folder', `${ready.length} served, the other one ${told ? 'said that it runs already' : 'said nothing'}; ${jobs.length} jobs after`, ready.length === 1 && told && jobs.length > 5); // prettier-ignore
}
