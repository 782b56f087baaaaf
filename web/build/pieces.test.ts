import * as fc from 'fast-check';
import { expect, it } from 'vitest';
import { piecesOf, type BuiltChunk } from './pieces.ts';

const chunk = (name: string, more: Partial<BuiltChunk> = {}): BuiltChunk => ({
  fileName: `${name}.js`,
  isEntry: false,
  isDynamicEntry: false,
  imports: [],
  moduleIds: [`/app/${name}.ts`],
  ...more,
});
const part = (name: string, imports: readonly string[]): BuiltChunk =>
  chunk(name, { isDynamicEntry: true, imports: imports.map((each) => `${each}.js`) }); // prettier-ignore
const entry = (imports: readonly string[]): BuiltChunk => ({ ...part('main', imports), isDynamicEntry: false, isEntry: true }); // prettier-ignore
const pages = (count: number, imports: readonly string[]) =>
  Array.from({ length: count }, (_, index) => part(`page${index}`, imports));

it('all that the page starts from is one piece, and all that it asks for right after another', () => {
  const pieces = piecesOf(
    [entry(['base']), chunk('base'), chunk('call', { imports: ['base.js', 'kinds.js'] }), chunk('kinds'), part('page', ['kinds', 'own']), chunk('own')],
    ['app/call.ts'],
  ); // prettier-ignore
  expect(Object.fromEntries(pieces)).toEqual({
    '/app/main.ts': 'first',
    '/app/base.ts': 'first',
    '/app/call.ts': 'next',
    '/app/kinds.ts': 'next',
  });
});

it('what many parts share is one piece, what some share another, what few share stays as it was cut', () => {
  const few = pages(2, ['few']);
  const shared = [chunk('few'), chunk('some'), chunk('many')];
  const of = (count: number, name: string) => Array.from({ length: count }, (_, index) => part(`${name}${index}`, [name])); // prettier-ignore
  const pieces = piecesOf([...few, ...of(4, 'some'), ...of(12, 'many'), ...shared], []);
  expect(Object.fromEntries(pieces)).toEqual({ '/app/some.ts': 'some', '/app/many.ts': 'many' });
});

it('what is heavy comes only to those who ask for it', () => {
  const heavy = chunk('drawing', { moduleIds: ['/app/node_modules/konva/lib/index.js'] });
  expect([...piecesOf([...pages(20, ['drawing']), heavy], []).keys()]).toEqual([]);
  // Whatever imports it is left where it is, too: it would bring it along.
  const board = chunk('board', { imports: ['drawing.js'] });
  expect([...piecesOf([...pages(20, ['board']), board, heavy], []).keys()]).toEqual([]);
  // What every page asks for has it on every page: it keeps nothing else away then.
  const asked = piecesOf([part('call', ['drawing']), ...pages(20, ['board']), board, heavy], ['app/call.ts']);
  expect(Object.fromEntries(asked)).toMatchObject({ '/app/call.ts': 'next', '/app/node_modules/konva/lib/index.js': 'next', '/app/board.ts': 'many' }); // prettier-ignore
  // Where the page starts from it, nobody can do without.
  expect([...piecesOf([entry(['drawing']), heavy], []).values()]).toEqual(['first', 'first']);
});

it('whoever imports a module is in its piece or in a later one: no two pieces need each other', () => {
  const ORDER = ['first', 'next', 'many', 'some', undefined];
  const graph = fc.integer({ min: 3, max: 40 }).chain((count) =>
    fc.array(fc.tuple(fc.nat(count - 1), fc.nat(count - 1)), { maxLength: 160 }).map((edges) => ({ count, edges })),
  ); // prettier-ignore
  fc.assert(
    fc.property(graph, ({ count, edges }) => {
      // Each may import those after it, as modules without a round trip can be ordered.
      const importsOf = (at: number) => edges.filter(([from, to]) => from === at && to > at).map(([, to]) => `c${to}`); // prettier-ignore
      const chunks = Array.from({ length: count }, (_, index) =>
        index === 0 ? { ...entry(importsOf(0)), fileName: 'c0.js', moduleIds: ['/app/c0.ts'] }
        : index % 3 === 2 ? chunk(`c${index}`, { imports: importsOf(index).map((each) => `${each}.js`) })
        : part(`c${index}`, importsOf(index)),
      ); // prettier-ignore
      const pieces = piecesOf(chunks, ['app/c1.ts']);
      const rank = (name: string) => ORDER.indexOf(pieces.get(`/app/${name}.ts`));
      for (let index = 0; index < count; index += 1)
        for (const to of importsOf(index)) expect(rank(to)).toBeLessThanOrEqual(rank(`c${index}`));
    }),
  );
});
