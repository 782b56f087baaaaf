import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { sentenceOf } from './lib/say.mjs';
import { giveBack, noteAddress, otherStart, takeLock } from './lib/startLock.mjs';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'steady-lock-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A process that calls itself a start, and holds the folder. */
function another() {
  const child = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)', 'start.mjs']);
  const lock = { pid: child.pid, address: 'http://localhost:4310' };
  writeFileSync(join(folder, 'start.json'), JSON.stringify(lock));
  return { child, lock };
}

it('is taken by one, told to the others, and given back', () => {
  const { child, lock } = another();
  expect(otherStart(folder)).toEqual(lock);
  expect(takeLock(folder, null)).toEqual(lock);
  child.kill('SIGKILL');
});

it.each([
  ['of a start that was killed', JSON.stringify({ pid: 999_999_999 })],
  ['of a process that is something else by now', JSON.stringify({ pid: 1 })],
  ['that is empty', ''],
  ['that is none', '[]'],
])('a file %s holds nobody up', (_, text) => {
  writeFileSync(join(folder, 'start.json'), text);
  expect(takeLock(folder, null)).toBeNull();
  expect(JSON.parse(readFileSync(join(folder, 'start.json'), 'utf8'))).toEqual({ pid: process.pid });
  noteAddress(folder, null, 'http://localhost:4311');
  expect(readFileSync(join(folder, 'start.json'), 'utf8')).toContain('4311');
  giveBack(folder);
  expect(readdirSync(folder)).toEqual([]);
});

it.each([
  ['ENOSPC', 'Make room'],
  ['EROFS', 'can only be read'],
  ['EACCES', 'Choose a folder of your own'],
  ['ENOTDIR', 'is no folder'],
])('%s is told as what a person can do', (code, words) => {
  const error = Object.assign(new Error(`${code}: said by the system`), { code, syscall: 'open' });
  expect(sentenceOf(error, '/data')).toContain(words);
});

it('what is no trouble with the folder is told as it was said', () => {
  const error = Object.assign(new Error('listen EACCES'), { code: 'EACCES', syscall: 'listen' });
  expect(sentenceOf(error, '/data')).toBe('listen EACCES');
  expect(sentenceOf(new Error('Port 65535 is taken'), '/data')).toBe('Port 65535 is taken');
});
