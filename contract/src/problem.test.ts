import { expect, it } from 'vitest';
import { problem, PROBLEMS, problemType, type ProblemCode } from './index.ts';

const codes = Object.keys(PROBLEMS) as ProblemCode[];
const facts = { errors: [{ path: ['name'], code: 'name.empty', message: 'It needs a name.', hint: null }], theirs: null }; // prettier-ignore

it.each(codes)('%s is told apart by its type, and keeps what it carries', (code) => {
  const { status } = PROBLEMS[code];
  const read = problem.parse({
    type: problemType(code),
    status,
    title: 'Its title',
    detail: 'Its sentence.',
    requestId: '1',
    ...facts,
  });
  expect(read.type).toBe(`/problems/${code}`);
  if (code === 'invalid' || code === 'would-lose') expect(read).toMatchObject({ errors: facts.errors });
  if (code === 'changed-elsewhere') expect(read).toMatchObject({ theirs: null });
});

it('one that lacks what its type carries, or that is of no known type, is none', () => {
  const words = { status: 400, title: 'a', detail: 'b' };
  expect(problem.safeParse({ type: problemType('invalid'), ...words }).success).toBe(false);
  expect(problem.safeParse({ type: 'about:blank', ...words }).success).toBe(false);
});
