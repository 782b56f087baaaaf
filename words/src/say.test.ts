import { expect, expectTypeOf, it } from 'vitest';
import { sayer, type TagsOf, type ValuesOf } from './say.ts';

const { list, say, rich } = sayer({
  'test.plain': 'Save job',
  'test.named': 'Saved “{name}”.',
  'test.many': '{count, plural, one {# test run of {machine}} other {# test runs of {machine}}}',
  'test.kind': '{kind, select, dry {by weight} other {by volume}}, {amount}',
  'test.rich': 'Set to <b>{setting}</b> now',
});

it('says what stands there, with what it is given', () => {
  expect(say('test.plain')).toBe('Save job');
  expect(say('test.named', { name: 'North lawn' })).toBe('Saved “North lawn”.');
  expect(say('test.kind', { kind: 'dry', amount: '3 lb' })).toBe('by weight, 3 lb');
  expect(say('test.kind', { kind: 'wet', amount: '3 gal' })).toBe('by volume, 3 gal');
});

it('says one and many', () => {
  expect(say('test.many', { count: 1, machine: 'Red' })).toBe('1 test run of Red');
  expect(say('test.many', { count: 1200, machine: 'Red' })).toBe('1,200 test runs of Red');
});

it('makes parts of what is tagged', () => {
  expect(rich('test.rich', { setting: '12', b: (inside) => ({ bold: inside }) })).toEqual([
    'Set to ',
    { bold: ['12'] },
    ' now',
  ]);
});

it('joins what is listed as a person does', () => {
  expect([list([]), list(['A']), list(['A', 'B']), list(['A', 'B', 'C'])]).toEqual([
    '',
    'A',
    'A and B',
    'A, B, and C',
  ]);
});

it('an apostrophe is one, beside a name and alone', () => {
  const { say: plain } = sayer({ 'test.own': 'Nobody’s {name}', 'test.straight': "It's here" });
  expect([plain('test.own', { name: 'field' }), plain('test.straight')]).toEqual([
    'Nobody’s field',
    'It’s here'.replace('’', "'"),
  ]);
});

it('speaks another language by its plurals', () => {
  const { say: russian } = sayer(
    { 'test.runs': '{count, plural, one {# one} few {# few} other {# many}}' },
    'ru',
  );
  expect([1, 3, 5].map((count) => russian('test.runs', { count }))).toEqual(['1 one', '3 few', '5 many']);
});

it('takes what a name is written with as it is', () => {
  expect(say('test.named', { name: '{x} <b>it’s</b>' })).toBe('Saved “{x} <b>it’s</b>”.');
});

it('knows of each message what it has to be given', () => {
  expectTypeOf<ValuesOf<'Save job'>>().toBeUnknown();
  expectTypeOf<ValuesOf<'{a} of { b }'>>().toEqualTypeOf<{ readonly a: string | number } & { readonly b: string | number }>(); // prettier-ignore
  expectTypeOf<keyof ValuesOf<'{count, plural, one {# run} other {{set} runs of {set}}}'>>().toEqualTypeOf<'count' | 'set'>(); // prettier-ignore
  expectTypeOf<ValuesOf<'{n, plural, one {run} other {runs}}'>>().toEqualTypeOf<{ readonly n: number }>();
  expectTypeOf<ValuesOf<'{k, select, a {b} other {c}}'>>().toEqualTypeOf<{ readonly k: string }>();
  expectTypeOf<TagsOf<'a <b>c</b> <i>d</i>'>>().toEqualTypeOf<'b' | 'i'>();
  // @ts-expect-error -- there is no such message
  expect(say('test.missing')).toBe('');
  // @ts-expect-error -- it takes a name
  expect(() => say('test.named')).toThrow(/name/);
});
