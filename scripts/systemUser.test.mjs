import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs'; // prettier-ignore
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { tryRun } from './lib/run.mjs';
import { canReach, giveTo, reachableData, readablePrograms, systemUser } from './lib/systemUser.mjs';

const user = systemUser();
const parent = mkdtempSync(join(tmpdir(), 'steady-user-'));
/** @type {string[]} */
const made = [];
afterAll(() => {
  for (const place of [parent, ...made]) rmSync(place, { recursive: true, force: true });
});

it.runIf(!user)('without being root nobody else is asked to serve', () => {
  expect(reachableData('/anywhere', null)).toBe('/anywhere');
  expect(readablePrograms(['/anywhere'], null)).toEqual(['/anywhere']);
});

describe.runIf(user)('started by root', () => {
  const served = user ?? { name: '', uid: 0, gid: 0 };
  const as = (/** @type {string[]} */ ...command) => tryRun(command[0] ?? '', command.slice(1), { uid: served.uid, gid: served.gid }); // prettier-ignore

  it('a system user serves, without a shell and without other groups', async () => {
    expect(served.uid).toBeGreaterThan(0);
    const line = readFileSync('/etc/passwd', 'utf8').split('\n').find((each) => each.startsWith(`${served.name}:`)); // prettier-ignore
    expect(line).toMatch(/nologin$/);
    expect((await as('id', '-G')).output.trim()).toBe(String(served.gid));
  });

  it('a folder behind a closed door is not reached; one of its own takes its place, with what was kept', () => {
    chmodSync(parent, 0o700);
    const asked = join(parent, 'data');
    mkdirSync(asked);
    writeFileSync(join(asked, 'kept.txt'), 'a season');
    expect(canReach(served, asked)).toBe(false);
    const home = reachableData(asked, user);
    made.push(home);
    expect(home).not.toBe(asked);
    expect(canReach(served, home)).toBe(true);
    expect(readFileSync(join(home, 'kept.txt'), 'utf8')).toBe('a season');
    // What came after stays; it is not copied over again.
    writeFileSync(join(home, 'kept.txt'), 'two seasons');
    expect(reachableData(asked, user)).toBe(home);
    expect(readFileSync(join(home, 'kept.txt'), 'utf8')).toBe('two seasons');
    chmodSync(parent, 0o755);
    expect(reachableData(asked, user)).toBe(asked);
  });

  it('a program behind a closed door is copied to where it can be read and not changed', async () => {
    const built = join(parent, 'built');
    mkdirSync(join(built, 'assets'), { recursive: true, mode: 0o700 });
    writeFileSync(join(built, 'assets', 'a.js'), '1', { mode: 0o600 });
    expect(readablePrograms([join(parent, 'built')], user)).not.toEqual([built]);
    const [copy = ''] = readablePrograms([built], user);
    made.push(join(copy, '..'));
    expect((await as('cat', join(copy, 'assets', 'a.js'))).output).toBe('1');
    expect((await as('touch', join(copy, 'assets', 'a.js'))).code).not.toBe(0);
  });

  it('what is given is given whole, and never through a link', () => {
    const [mine, his] = [join(parent, 'mine.txt'), join(parent, 'his')];
    writeFileSync(mine, 'mine');
    mkdirSync(his);
    symlinkSync(mine, join(his, 'link'));
    writeFileSync(join(his, 'file'), '');
    giveTo(user, his);
    expect([his, join(his, 'file')].map((place) => statSync(place).uid)).toEqual([served.uid, served.uid]);
    expect(statSync(mine).uid).toBe(0);
    expect(existsSync(join(his, 'link'))).toBe(true);
  });
});
