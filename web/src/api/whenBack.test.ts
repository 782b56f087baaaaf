import { PROBLEMS, problemType } from '@steady-scatter/contract';
import { beforeEach, expect, it, vi } from 'vitest';
import { ApiProblem, Unreachable } from './errors.ts';
import { isPassing, keepWaiting, keepWhenBack, saidOfWaiting, waitNoMore, waits } from './whenBack.ts';

const refused = (code: 'database-down' | 'busy' | 'id-taken' | 'disk-full' | 'failed') =>
  new ApiProblem({ type: problemType(code), title: '', status: PROBLEMS[code].status, detail: 'No.' });

beforeEach(() => keepWaiting());

it('a server or a database that does not answer passes; a refusal does not', () => {
  expect([new Unreachable(''), refused('database-down'), refused('busy')].map(isPassing)).toEqual([true, true, true]); // prettier-ignore
  expect([refused('failed'), refused('id-taken'), refused('disk-full'), new Error('x')].map(isPassing)).toEqual([false, false, false, false]); // prettier-ignore
  expect(saidOfWaiting(refused('database-down'))).toContain('The database does not answer');
  expect(saidOfWaiting(new Unreachable(''))).toContain('The server does not answer');
});

it('keeps what waits once, in the order in which it was tried, the latest way of each', async () => {
  const done: string[] = [];
  keepWhenBack('a', () => done.push('a, first way'));
  keepWhenBack('b', () => done.push('b'));
  keepWhenBack('a', () => done.push('a'));
  await keepWaiting();
  await keepWaiting();
  expect(done).toEqual(['a', 'b']);
});

it('what was kept or dropped by hand waits no more', async () => {
  const keep = vi.fn();
  keepWhenBack('a', keep);
  waitNoMore('a');
  expect(waits('a')).toBe(false);
  await keepWaiting();
  expect(keep).not.toHaveBeenCalled();
});

it('what fails again waits again', async () => {
  keepWhenBack('a', () => keepWhenBack('a', () => undefined));
  await keepWaiting();
  expect(waits('a')).toBe(true);
});
