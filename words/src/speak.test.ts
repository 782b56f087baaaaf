import { ERROR_CODES, InputError } from '@steady-scatter/core/errors';
import { EDGE_KINDS, SHAPE_KINDS, shapeOf } from '@steady-scatter/core/ground';
import { RIG_KIND_IDS, rigKind } from '@steady-scatter/core/machines';
import { NUTRIENT_IDS } from '@steady-scatter/core/need';
import { message, type Message } from '@steady-scatter/core/messages';
import { chooseMethod, methodOf, METHOD_IDS, stepsOf, type Step } from '@steady-scatter/core/testing';
import { expect, it } from 'vitest';
import { CORE } from './en/core/index.ts';
import { nameOf, speak } from './everything.ts';

it('says names and amounts as they stand, and what core says by its sentence', () => {
  expect(speak('Lake feed 24-0-8')).toBe('Lake feed 24-0-8');
  expect(speak(message('working.runAt', { setting: '11' }))).toBe('Run at 11');
  expect(speak(message('working.days', { count: 1 }))).toBe('day');
  expect(speak(message('working.days', { count: 12 }))).toBe('days');
});

it('says what is said inside a sentence, and lists', () => {
  const told = message('advice.told', { rate: '3.33 lb / 1000 ft²', percent: '2 %', runs: 2 });
  const goal = message('advice.within', { percent: '5 %' });
  expect(speak(message('advice.usable', { told, goal }))).toBe(
    '3.33 lb / 1000 ft² ±2 % from 2 test runs: within 5 %. You can use it; another test run would settle it.',
  );
  const limits = [message('mix.limit.quick'), message('mix.limit.stock', { name: 'urea' })];
  expect(speak(message('mix.why.heldBack', { limits }))).toBe(
    'In the way: the limit on quick nitrogen and the stock of urea.',
  );
});

it('begins a sentence with a capital letter, whatever it begins with, and nothing else', () => {
  const miss = { nutrient: message('kinds.nutrient.K2O'), standing: 'short', amount: '60 kg / ha', why: message('mix.why.noneHoldsIt') };
  expect(speak(message('mix.miss', miss))).toBe('Potash falls 60 kg / ha short. No product that can be used holds it.');
  expect(speak(message('fresh.season'))).toBe('a season has passed');
}); // prettier-ignore

it('tells the id of what it does not know, so that a screen still stands', () => {
  expect(speak(message('nothing.of.that'))).toBe('nothing.of.that');
});

/** Something for each place of a sentence. */
const filled = (text: string) =>
  Object.fromEntries(
    [...text.matchAll(/\{(\w+)(, plural)?/g)].map(([, name = '', plural]) => [
      name,
      plural ? 2 : name === 'advice' ? 'Do so.' : 'x',
    ]),
  );

it.each(ERROR_CODES)('%s has a sentence, and names its field in none', (code) => {
  const facts = filled(CORE.errors[`errors.${code}`]);
  const text = speak(new InputError(code, { ...facts, field: 'areas.2.size', hint: '5 lb' }).sentence);
  expect(text).toMatch(/^.{8,}[.?]$/s);
  expect(text).not.toContain('areas.2');
});

it('every kind of a table has a name, and what a machine is looked over for', () => {
  const names = [
    ...SHAPE_KINDS.map((kind) => nameOf('shape', kind)),
    ...SHAPE_KINDS.flatMap((kind) => shapeOf(kind).dimensions.map((each) => nameOf('dimension', each))),
    ...EDGE_KINDS.map((kind) => nameOf('edge', kind)),
    ...RIG_KIND_IDS.map((kind) => nameOf('rig', kind)),
    ...NUTRIENT_IDS.map((nutrient) => nameOf('nutrient', nutrient)),
    ...METHOD_IDS.map((method) => nameOf('method', method)),
    ...METHOD_IDS.flatMap((method) => methodOf(method).needs.map((tool) => nameOf('bring', tool))),
    ...RIG_KIND_IDS.flatMap((kind) => rigKind(kind).before.concat(rigKind(kind).after)).map((check) => speak(message(`kinds.check.${check}`))),
  ]; // prettier-ignore
  expect(names.length).toBeGreaterThan(150);
  expect(names.filter((name) => !name || name.includes('kinds.'))).toEqual([]);
});

const saidAtStep = ({ heading, how, fields, cautions }: Step): Message[] =>
  [heading, how].concat(
    fields.map(({ label }) => label),
    cautions,
  );

it('a guided test says all its steps, and why each method suits or not, for every machine', () => {
  const tools = { scale: 'small', tarp: false, floor: true, tray: true, ground: false, helper: false, wind: true } as const; // prettier-ignore
  const all = RIG_KIND_IDS.flatMap((kind) =>
    [true, false]
      .flatMap((sprays) => chooseMethod({ kind, sprays, tools, isPesticide: true }))
      .map(({ why }) => why)
      .concat(
        METHOD_IDS.flatMap((method) => stepsOf(method, 3, kind, 'granular-carrier').flatMap(saidAtStep)),
      ),
  );
  const spoken = all.map(speak);
  expect(new Set(spoken).size).toBeGreaterThan(70);
  expect(spoken.filter((text) => /^\w+\.\w|[{}]/.test(text))).toEqual([]);
});
