import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type * as z from 'zod';
import {
  calibrationAim,
  calibrationUpgrades,
  jobInput,
  jobUpgrades,
  productInput,
  productUpgrades,
  rigInput,
  rigUpgrades,
  ruleSetInput,
  siteInput,
  siteUpgrades,
  soilTestInput,
  soilTestUpgrades,
  widthTestInput,
  widthTestUpgrades,
} from '../index.ts';
import { eachIn, filledIn, isJson, renamed, upgraded, upgradedOver, versionAfter, type Json, type UpgradeStep } from './upgrade.ts'; // prettier-ignore

const DEMO = JSON.parse(readFileSync(new URL('../../../demo/tarn-hollow.json', import.meta.url), 'utf8')) as Record<string, { id: string; input: Json }[]>; // prettier-ignore
const KINDS: readonly [string, readonly UpgradeStep[], z.ZodType][] = [
  ['products', productUpgrades, productInput],
  ['sites', siteUpgrades, siteInput],
  ['rigs', rigUpgrades, rigInput],
  ['calibrations', calibrationUpgrades, calibrationAim],
  ['widthTests', widthTestUpgrades, widthTestInput],
  ['soilTests', soilTestUpgrades, soilTestInput],
  ['ruleSets', [], ruleSetInput],
  ['jobs', jobUpgrades, jobInput],
];

/** The same under the names that the first version had. */
const FIRST_NAMES: Readonly<Record<string, (now: Json) => Json>> = {
  jobs(now) {
    if (!isJson(now['worksheet'])) return now;
    const { need, ...worksheet } = now['worksheet'];
    return { ...now, worksheet: { ...worksheet, ...(isJson(need) && { need: renamed(need, { nutrient: 'of' }) }) } }; // prettier-ignore
  },
  sites: (now) => ({
    ...now,
    ...('areas' in now && {
      areas: eachIn(now, 'areas', (area) => ({
        ...renamed(area, { layoutMode: 'hold' }),
        edges: eachIn(area, 'edges', (edge) => renamed(edge, { kind: 'of' })),
      })),
    }),
  }),
};

describe.each(KINDS)('%s', (name, steps, schema) => {
  const first = FIRST_NAMES[name] ?? ((now: Json) => now);

  it('of the first version are of the current one once they went through every step', () => {
    for (const { input } of DEMO[name]!) {
      expect(schema.parse(upgraded(steps, 1, first(input)))).toEqual(input);
      expect(upgraded(steps, versionAfter(steps), input)).toBe(input);
    }
  });

  it('with parts missing are whole after, with what was there as it was', () =>
    fc.assert(
      fc.property(fc.nat(), fc.infiniteStream(fc.nat(9)), (which, draw) => {
        const { input } = DEMO[name]![which % DEMO[name]!.length]!;
        const kept = Object.fromEntries(
          Object.entries(input).filter(([key]) => ['name', 'unit', 'onDay', 'worksheet', 'areas', 'runs'].includes(key) || draw.next().value! > 3), // prettier-ignore
        );
        expect(upgraded(steps, 1, first(kept))).toMatchObject(kept);
      }),
      { seed: 11, numRuns: 60 },
    ));

  it('never break, whatever was stored', () =>
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom('name', 'worksheet', 'runs', 'areas', 'second', 'units', 'need', 'signOff', 'package'), fc.jsonValue()), (stored) => {
        const after = upgraded(steps, 1, stored);
        expect(typeof after).toBe('object');
        schema.safeParse(after);
      }),
      { seed: 12, numRuns: 200 },
    )); // prettier-ignore
});

describe('a write of an earlier version', () => {
  const steps: UpgradeStep[] = [
    { adds: [], upgrade: (earlier) => renamed(earlier, { full: 'fill' }) },
    { adds: ['lid.colour', 'place'], upgrade: (earlier) => filledIn({ lid: { colour: 'green' }, place: '' }, earlier) }, // prettier-ignore
  ];
  const standing = { fill: '40', lid: { colour: 'red', isOpen: true }, place: 'yard' };

  it('keeps what it says, and leaves what it does not know', () =>
    expect(upgradedOver(steps, 1, { full: '60', lid: { isOpen: false } }, standing)).toEqual({ fill: '60', lid: { isOpen: false, colour: 'red' }, place: 'yard' })); // prettier-ignore
  it('of the version before the last knows more', () =>
    expect(upgradedOver(steps, 3, { fill: '1', place: 'here' }, standing)).toEqual({ fill: '1', place: 'here' })); // prettier-ignore
  it('of something new has what is usual', () =>
    expect(upgradedOver(steps, 1, { full: '60' }, null)).toEqual({ fill: '60', lid: { colour: 'green' }, place: '' })); // prettier-ignore
});

it('what is no list, or no part of one, stays for the schema to refuse', () => {
  expect(eachIn({ runs: 'none' }, 'runs', () => ({}))).toBe('none');
  expect(eachIn({ runs: [1, { a: 1 }] }, 'runs', (part) => ({ ...part, b: 2 }))).toEqual([1, { a: 1, b: 2 }]);
  expect(eachIn({}, 'runs', () => ({}))).toBeUndefined();
});
