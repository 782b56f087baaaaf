import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'vite';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { blankSite, blankSiteArea } from '@steady-scatter/core/ground';
import { v7 } from 'uuid';
import { HttpProblem } from '../problems/HttpProblem.ts';
import { sampleWrite, writeOf } from '../testing/jobs.ts';
import { checkHere } from './check.ts';
import { checkInThreads, type Threads } from './threads.ts';

const root = join(fileURLToPath(import.meta.url), '..', '..', '..');
const out = mkdtempSync(join(tmpdir(), 'steady-checker-'));
const checker = join(out, 'checker.js');
let threads: Threads;

beforeAll(async () => {
  await build({ root, logLevel: 'error', build: { outDir: out, emptyOutDir: true } });
  threads = checkInThreads(checker);
}, 60_000);
afterAll(async () => {
  await threads.close();
  rmSync(out, { recursive: true, force: true });
});

const bytes = (body: unknown) => new TextEncoder().encode(JSON.stringify(body));
const job = sampleWrite();
const JOB = { kind: 'jobs', verb: 'write' } as const;

/** A site whose outlines take seconds to work out, though each lies by itself. */
function ruggedSite() {
  const ring = (seed: number) =>
    Array.from({ length: 4000 }, (_, index) => {
      const turn = (2 * Math.PI * index) / 4000;
      const far = 60 + 40 * Math.abs(Math.sin(index * 12.9898 + seed) * 43_758.5453 - Math.floor(Math.sin(index * 12.9898 + seed) * 43_758.5453)); // prettier-ignore
      return [seed * 500 + far * Math.cos(turn), far * Math.sin(turn)];
    });
  const part = (seed: number) => ({ id: `p${seed}`, kind: 'boundary', cut: false, outlines: [ring(seed)], from: '', off: '', unit: 'm', at: { x: 0, y: 0, turn: 0 } }); // prettier-ignore
  const edge = { id: 'e', kind: 'water', along: 'side', part: 'p0', from: '', to: '', length: '', buffer: '4', unit: 'm' }; // prettier-ignore
  const area = { ...blankSiteArea(v7(), 'metric'), name: 'Rugged', layoutMode: 'placed', parts: Array.from({ length: 9 }, (_, seed) => part(seed)), edges: [edge] }; // prettier-ignore
  return writeOf('sites', { ...blankSite(v7(), 'metric'), name: 'Rugged', areas: [area] });
}

it('checks as it would be checked where it was asked', async () => {
  expect(await threads.check(JOB, bytes(job))).toEqual(await checkHere(JOB, bytes(job)));
});

it('hands each wrong field over, with its sentence', async () => {
  const wrong = bytes({ ...job, input: { ...job.input, onDay: 'tomorrow' } });
  const [there, here] = await Promise.all(
    [threads.check, checkHere].map((check) => check(JOB, wrong).catch((error: unknown) => error)),
  );
  expect(there).toBeInstanceOf(HttpProblem);
  expect((there as HttpProblem).body('1')).toEqual((here as HttpProblem).body('1'));
});

it('says of what is no JSON that it is none', async () => {
  for (const body of [new Uint8Array(), new TextEncoder().encode('{'), Uint8Array.of(0x22, 0xff, 0x22)])
    await expect(threads.check(JOB, body)).rejects.toThrow('not readable JSON in UTF-8');
});

it('what takes too long is ended and refused, nobody else waits for it, and the next one is checked', async () => {
  const impatient = checkInThreads(checker, 2000);
  // Both threads are there when the time is taken.
  await Promise.all([1, 2].map(() => impatient.check(JOB, bytes(job))));
  const heavy = impatient
    .check({ kind: 'sites', verb: 'write' }, bytes(ruggedSite()))
    .catch((error: unknown) => error);
  const light = impatient.check(JOB, bytes(job));
  const first = await Promise.race([heavy.then(() => 'heavy'), light.then(() => 'light')]);
  expect(first).toBe('light');
  expect(await heavy).toMatchObject({ code: 'too-much-work', status: 422 });
  expect(await impatient.check(JOB, bytes(job))).toMatchObject({ version: 0 });
  await impatient.close();
});
