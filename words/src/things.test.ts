import { expect, it } from 'vitest';
import { problemWords } from './server.ts';
import { manyOf, oneOf } from './things.ts';

it('one and many of a kind by its name in code', () => {
  expect([oneOf('soilTests'), manyOf('soilTests')]).toEqual(['soil test', 'soil tests']);
  expect([oneOf('rigs'), manyOf('rigs')]).toEqual(['machine', 'machines']);
});

it('what has no name here says nothing', () => {
  expect(oneOf('bins')).toBe('');
});

it('a problem has a title and a sentence that ends', () => {
  const { title, detail } = problemWords('disk-full');
  expect(title).toBe('Disk full');
  expect(detail).toMatch(/^The disk .*\.$/);
});
