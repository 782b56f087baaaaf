import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { literalsIn } from './lib/literals.mjs';
import { messagesIn } from './lib/messages.mjs';
import { ROOT } from './lib/places.mjs';

/** Only tests, and the room that shows whoever builds this its parts. */
const LEFT_OUT =
  /(^|\/)testing\/(device|fakeServer|formProps|inApp|setup|database|harness|jobs)|^room\/|\.test\.tsx?$/;

/** @param {string} folder */
const sources = (folder) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !LEFT_OUT.test(file))
    .map((file) => /** @type {const} */ ([`${folder}/${file}`, readFileSync(join(ROOT, folder, file), 'utf8')])); // prettier-ignore

const web = sources('web/src');
/** What was written with other words before is read, and never said. */
const core = sources('core/src').filter(([file]) => !file.endsWith('/earlierTests.ts'));
/** All messages by their ids. */
const messages = new Map(
  sources('words/src/en').flatMap(([, source]) =>
    [...source.matchAll(/^ {2}'([\w.-]+)':\s*(?:'((?:[^'\\]|\\.)*)'|"([^"]*)")/gm)].map(
      ([, id = '', one, other]) => /** @type {const} */ ([id, one ?? other ?? '']),
    ),
  ),
);
const ids = [...messages.keys()];

/** What has something to be said by its id: core, and what names the kinds of core. */
const things = [...core, ...web, ...sources('contract/src')].flatMap(([file, source]) =>
  messagesIn(file, source),
);
const pattern = (/** @type {string} */ id) => new RegExp(`^${id.split('*').map((part) => part.replace(/[.]/g, '\\.')).join('[\\w-]+')}$`); // prettier-ignore
const idsOf = (/** @type {string} */ id) => (id.includes('*') ? ids.filter((each) => pattern(id).test(each)) : ids.includes(id) ? [id] : []); // prettier-ignore

/** The names of the arguments of a message, in whichever branch. @param {string} text */
function argumentsOf(text) {
  /** @type {Set<string>} */
  const names = new Set();
  const visit = (
    /** @type {import('@formatjs/icu-messageformat-parser').MessageFormatElement[]} */ elements,
  ) =>
    elements.forEach((element) => {
      if (element.type === TYPE.tag) visit(element.children);
      else if (element.type !== TYPE.literal && element.type !== TYPE.pound) names.add(element.value);
      if (element.type === TYPE.plural || element.type === TYPE.select)
        for (const { value } of Object.values(element.options)) visit(value);
    });
  visit(parse(text));
  return [...names];
}

it('nothing that is said stands in a screen or in core itself', () => {
  expect(web.flatMap(([file, source]) => literalsIn(file, source))).toEqual([]);
  expect(core.flatMap(([file, source]) => literalsIn(file, source))).toEqual([]);
});

it('every message is said somewhere', () => {
  const all = [...core, ...web, ...sources('server/src'), ...sources('words/src').filter(([file]) => !file.startsWith('words/src/en/'))].map(([, source]) => source).join('\n'); // prettier-ignore
  expect(ids.length).toBeGreaterThan(1000);
  // Those of a table are put together: `server.${code}.title`, `errors.${code}`, `kinds.rig.${kind}`.
  const tables = [...all.matchAll(/`((?:server|things)\.)\$\{\w+\}(\.\w+)`/g)].map(
    ([, begin = '', end = '']) => [begin, end],
  );
  const named = new Set(things.flatMap(({ ids: said }) => said.flatMap(idsOf)));
  const isSaid = (/** @type {string} */ id) =>
    named.has(id) ||
    all.includes(`'${id}'`) ||
    all.includes(`'${id.replace(/^errors\./, '')}'`) ||
    all.includes(`nameOf('${id.split('.')[1]}'`) ||
    tables.some(([begin = '', end = '']) => id.startsWith(begin) && id.endsWith(end));
  expect(ids.filter((id) => !isSaid(id))).toEqual([]);
});

it('what core says by an id stands in the catalogue, and is given what its sentence takes', () => {
  expect(things.length).toBeGreaterThan(500);
  const wrong = things.flatMap(({ at, ids: said, facts, isWhole }) =>
    said.flatMap((id) => {
      const found = idsOf(id);
      if (found.length === 0) return [`${at}: nothing is said for ${id}`];
      // Of a table each takes a part of what all are given.
      const taken = [...new Set(found.flatMap((each) => argumentsOf(messages.get(each) ?? '')))];
      const missing = isWhole ? taken.filter((name) => !facts.includes(name) && name !== 'hint') : [];
      const spare = facts.filter((name) => !taken.includes(name));
      const isOne = !id.includes('*') && said.length === 1;
      return [...missing.map((name) => `${at}: ${id} lacks ${name}`), ...(isOne ? spare.map((name) => `${at}: ${id} does not take ${name}`) : [])]; // prettier-ignore
    }),
  );
  expect(wrong).toEqual([]);
});

it('what is said is found with its facts', () => {
  const source = `
    const a = message('advice.curve', { rate, ceiling: 'no' }); message(isOver ? 'plan.a' : 'plan.b', { ...more, x });
    throw new InputError('grade.twice', { field, input, hint: '8-2-1' }); message(\`kinds.rig.\${kind}\`);`;
  expect(messagesIn('a.ts', source)).toEqual([
    { at: 'a.ts:2', ids: ['advice.curve'], facts: ['rate', 'ceiling'], isWhole: true },
    { at: 'a.ts:2', ids: ['plan.a', 'plan.b'], facts: ['x'], isWhole: false },
    { at: 'a.ts:3', ids: ['errors.grade.twice'], facts: ['input'], isWhole: true },
    { at: 'a.ts:3', ids: ['kinds.rig.*'], facts: [], isWhole: true },
  ]);
  expect(argumentsOf('{n, plural, one {# mark of {name}} other {# <b>{what}</b>}}')).toEqual([
    'n',
    'name',
    'what',
  ]);
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
