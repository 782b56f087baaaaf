import { readFileSync } from 'node:fs';
import { problem, PROBLEMS, type ProblemCode } from '@steady-scatter/contract';
import { problemWords } from '@steady-scatter/words/server';
import { ConnectionError, DatabaseError, TimeoutError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { isDatabaseDown, isDiskFull, isMet } from './databaseTrouble.ts';
import { HttpProblem, plainProblem } from './HttpProblem.ts';

const codes = Object.keys(PROBLEMS) as ProblemCode[];

it.each(codes)('%s is answered as the contract describes it', (code) => {
  const facts = { errors: [], theirs: null };
  expect(problem.safeParse(new HttpProblem(code, facts as never).body('1')).error).toBeUndefined();
});

it('the page that lists them lists all of them, with their status and title, and no others', () => {
  const page = readFileSync(new URL('../../../docs/problems.md', import.meta.url), 'utf8');
  const listed = [...page.matchAll(/^\| `\/problems\/([\w-]+)` *\| (\d+) +\| (.+?) +\|$/gm)].map(([, code, status, title]) => [code, Number(status), title]); // prettier-ignore
  expect(listed).toEqual(codes.map((code) => [code, PROBLEMS[code].status, problemWords(code).title]));
});

it('says its own sentence where one is given, and the catalogue’s where none is', () => {
  expect(plainProblem('not-found', 'There is no job here.').body('1')).toMatchObject({ detail: 'There is no job here.', status: 404 }); // prettier-ignore
  expect(plainProblem('busy').body('1')).toMatchObject({ detail: problemWords('busy').detail });
});

describe('what the database means is told by its codes', () => {
  const said = (codes: object, words = 'said in whatever words') =>
    new DatabaseError(Object.assign(new Error(words), { sql: '' }, codes));
  it.each([
    ['a socket that was closed', said({ errno: 45009, code: 'ER_SOCKET_UNEXPECTED_CLOSE' }), [true, false, false]],
    ['a server that is ending', said({ errno: 1053 }), [true, false, false]],
    ['a broken pipe', said({ code: 'EPIPE' }), [true, false, false]],
    ['a connection that cannot be made', new ConnectionError(new Error('x')), [true, false, false]],
    ['a table that is full', said({ errno: 1114 }), [false, true, false]],
    ['no room on the disk', said({ code: 'ENOSPC' }), [false, true, false]],
    ['a deadlock', said({ errno: 1213 }), [false, false, true]],
    ['a lock waited for too long', new TimeoutError(Object.assign(new Error('x'), { errno: 1205, sql: '' }) as never), [false, false, true]],
    ['a duplicate', said({ errno: 1062 }), [false, false, false]],
    ['words that sound like a deadlock', said({ errno: 1064 }, 'deadlock ECONNREFUSED 1114'), [false, false, false]],
  ])('%s', (_, error, expected) => {
    expect([isDatabaseDown(error), isDiskFull(error), isMet(error)]).toEqual(expected);
  }); // prettier-ignore

  it('an error of ours is none of the database', () => {
    const error = Object.assign(new Error('x'), { code: 'ENOENT', errno: 1213 });
    expect([isDatabaseDown(error), isDiskFull(error), isMet(error)]).toEqual([false, false, false]);
  });
});
