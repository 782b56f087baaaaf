import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { literalsIn } from './lib/literals.mjs';
import { ROOT } from './lib/places.mjs';

/** Only tests, and the room that shows whoever builds this its parts. */
const LEFT_OUT = /(^|\/)testing\/|^room\/|\.test\.tsx?$/;

/** @param {string} folder */
const sources = (folder) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !LEFT_OUT.test(file))
    .map((file) => /** @type {const} */ ([`${folder}/${file}`, readFileSync(join(ROOT, folder, file), 'utf8')])); // prettier-ignore

const web = sources('web/src');
const ids = sources('words/src/en').flatMap(([, source]) =>
  [...source.matchAll(/^ {2}'([\w.]+)':/gm)].map(([, id = '']) => id),
);

it('nothing that is said stands in a screen itself', () => {
  expect(web.flatMap(([file, source]) => literalsIn(file, source))).toEqual([]);
});

it('every message is said somewhere', () => {
  const all = [...web, ...sources('server/src'), ...sources('words/src').filter(([file]) => !file.startsWith('words/src/en/'))].map(([, source]) => source).join('\n'); // prettier-ignore
  expect(ids.length).toBeGreaterThan(1000);
  // Those of a table are put together: `server.${code}.title`.
  const tables = [...all.matchAll(/`((?:server|things)\.)\$\{\w+\}(\.\w+)`/g)].map(
    ([, begin = '', end = '']) => [begin, end],
  );
  const isSaid = (/** @type {string} */ id) =>
    all.includes(`'${id}'`) ||
    tables.some(([begin = '', end = '']) => id.startsWith(begin) && id.endsWith(end));
  expect(ids.filter((id) => !isSaid(id))).toEqual([]);
});

it('text is found in markup, in what is read out, and in what is told; names of fonts, styles and errors of programs are none', () => {
  const source = `
    const a = <p title="Its title" className="wide Card">Hello {name} <b>you</b></p>;
    tell('Saved it.'); tell(\`Saved \${name} and more\`); throw new Error('No provider above it.');
    const font = '"Atkinson", sans-serif'; const grid = 'minmax(0, 1fr) auto'; const id = 'saved';`;
  expect(literalsIn('a.tsx', source)).toEqual([
    'a.tsx:2: Its title',
    'a.tsx:2: Hello',
    'a.tsx:2: you',
    'a.tsx:3: Saved it.',
    'a.tsx:3: Saved … and more',
  ]);
});
