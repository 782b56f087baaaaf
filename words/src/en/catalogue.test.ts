import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { expect, it } from 'vitest';
import { EN } from './catalogue.ts';

const ALL = Object.entries(EN).flatMap(([group, messages]) =>
  Object.entries<string>(messages).map(([id, text]) => ({ group, id, text })),
);

/** What a message says, in whichever branch; something of two letters stands for what it is given. */
function saidBy(elements: readonly MessageFormatElement[]): string {
  return elements
    .map((element) => {
      if (element.type === TYPE.literal) return element.value;
      if (element.type === TYPE.tag) return saidBy(element.children);
      if (element.type === TYPE.plural || element.type === TYPE.select)
        return Object.values(element.options).map(({ value }) => saidBy(value)).join('|'); // prettier-ignore
      return 'Xx';
    })
    .join('');
}

/** The messages that a pattern is found in. */
const found = (pattern: RegExp): string[] =>
  ALL.map(({ id, text }) => ({ id, said: saidBy(parse(text)) })).filter(({ said }) => pattern.test(said)).map(({ id, said }) => `${id}: ${said}`); // prettier-ignore

it('each can be read, begins with its part, and stands once', () => {
  expect(ALL.filter(({ text }) => parse(text).length === 0)).toEqual([]);
  expect(ALL.filter(({ group, id }) => !id.startsWith(`${group}.`))).toEqual([]);
  expect(ALL.length - new Set(ALL.map(({ id }) => id)).size).toBe(0);
});

it.each([
  ['words of software: save, import, delete, cancel', /\bkept\b|\bkeep (it|this (?!page)|as)|\banew\b|(?<!or )\bdrop (what|it)|break (it|this) off|bring .* in\b|take (it|them) (as|back)/i],
  ['words of the trade: deliver, machine, test run', /\bputs? down\b|comes along|\brig\b|\bround \d/i],
  ['no begging and no shouting', /\bplease\b|!/i],
  ['spelling of the United States', /neighbour|\bmetres?\b|licence|plough|fertiliser|colour|practise/i],
  ['one space between words', / {2}/],
])('%s', (_, pattern) => {
  expect(found(pattern)).toEqual([]);
}); // prettier-ignore

it('what is not said is found where it is said', () => {
  expect(saidBy(parse('Kept {n, plural, one {# metre} other {{n} metres}} <b>anew</b>'))).toBe('Kept Xx metre|Xx metres anew');
  expect(found(/save job/i).length).toBeGreaterThan(0);
}); // prettier-ignore
