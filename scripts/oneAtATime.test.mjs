import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { oneAtATime } from './lib/oneAtATime.mjs';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'steady-one-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A process that notes when it begins and ends what only one may do, and takes its time. @param {string} name @param {number} ms */
function another(name, ms) {
  const script = `
    import { appendFileSync } from 'node:fs';
    import { oneAtATime } from ${JSON.stringify(join(import.meta.dirname, 'lib/oneAtATime.mjs'))};
    const note = (text) => appendFileSync(${JSON.stringify(join(folder, 'notes'))}, text);
    await oneAtATime(${JSON.stringify(join(folder, 'made', 'lock'))}, async () => {
      note('<${name}');
      await new Promise((done) => setTimeout(done, ${ms}));
      note('${name}>');
    });`;
  return spawn(process.execPath, ['--input-type=module', '-e', script], { stdio: 'ignore' });
}
const notes = () => (existsSync(join(folder, 'notes')) ? readFileSync(join(folder, 'notes'), 'utf8') : '');

it('what one does is done before the next begins', async () => {
  await Promise.all(['a', 'b', 'c'].map((name) => once(another(name, 60), 'close')));
  expect(notes()).toMatch(/^(<(\w)\2>){3}$/);
});

it('who is killed in the middle lets go, and what fails too', async () => {
  const killed = another('k', 60_000);
  await expect.poll(notes, { timeout: 10_000 }).toBe('<k');
  killed.kill('SIGKILL');
  const lock = join(folder, 'made', 'lock');
  await expect(oneAtATime(lock, () => Promise.reject(new Error('No.')))).rejects.toThrow('No.');
  expect(await oneAtATime(lock, async () => 'done')).toBe('done');
});
