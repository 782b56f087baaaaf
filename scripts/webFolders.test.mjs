import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from './lib/places.mjs';

const SRC = join(ROOT, 'web', 'src');
/** What only tests are made of, and the one place where everything meets. */
const LEFT_OUT = /^testing\/|\.test\.tsx?$/;

/** Which folders each folder imports from. */
function folders() {
  /** @type {Map<string, Set<string>>} */
  const found = new Map();
  const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter((file) => /\.tsx?$/.test(file) && !LEFT_OUT.test(file)); // prettier-ignore
  for (const file of files) {
    const [from = '', ...more] = file.split('/');
    if (more.length === 0) continue;
    const source = readFileSync(join(SRC, file), 'utf8');
    for (const [, path = ''] of source.matchAll(/(?:from |import\()'(\.[^']+)'/g)) {
      const [to = ''] = relative(SRC, join(SRC, dirname(file), path)).split('/');
      if (to !== from) found.set(from, (found.get(from) ?? new Set()).add(to));
    }
  }
  return found;
}

/**
 * A way from a folder back to itself; empty: there is none.
 * @param {ReadonlyMap<string, ReadonlySet<string>>} graph
 */
function roundTrip(graph) {
  const done = new Set();
  /** @param {string} folder @param {readonly string[]} way @returns {string[]} */
  const visit = (folder, way) => {
    if (way.includes(folder)) return [...way.slice(way.indexOf(folder)), folder];
    if (done.has(folder)) return [];
    for (const next of graph.get(folder) ?? []) {
      const trip = visit(next, [...way, folder]);
      if (trip.length > 0) return trip;
    }
    done.add(folder);
    return [];
  };
  for (const folder of graph.keys()) {
    const trip = visit(folder, []);
    if (trip.length > 0) return trip;
  }
  return [];
}

it('no folder imports from one that imports from it, however far round', () => {
  expect(roundTrip(folders()).join(' -> ')).toBe('');
});

it('parts of the interface know of nothing else', () => {
  expect([...(folders().get('ui') ?? [])]).toEqual([]);
});

it('a way round is found where there is one', () => {
  const graph = new Map([['a', new Set(['b'])], ['b', new Set(['c'])], ['c', new Set(['b'])]]); // prettier-ignore
  expect(roundTrip(graph)).toEqual(['b', 'c', 'b']);
});
