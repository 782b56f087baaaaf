import type { SoilTestInput } from '@steady-scatter/core/need';
import { blankPlan, plannedPortions, type PortionInput } from '@steady-scatter/core/plan';
import { blankProduct } from '@steady-scatter/core/products';
import type { JobInput } from '@steady-scatter/core/worksheet';
import { beforeEach, expect, it, vi } from 'vitest';
import type { Doc } from '../documents/docs.ts';
import { saveNew } from '../documents/saving.ts';
import { makeSheet, soilTestFor } from './planSheet.ts';
import type { PlanView } from './usePlan.ts';

vi.mock('../documents/saving.ts', () => ({ saveNew: vi.fn(async () => undefined) }));

const [TOWN, SCHOOL] = ['0196335a-0020-7c1e-9b40-5d2a7f3e0020', '0196335a-0030-7c1e-9b40-5d2a7f3e0030'];
const portion = (areaName: string): PortionInput => ({ id: areaName, site: 's', area: areaName, siteName: 'Lake front', areaName, product: 'p', productName: 'Lake feed', nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2', onDay: '2027-04-19', hold: '', why: '', job: '' }); // prettier-ignore
const feed = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed', grade: '24-0-8', stock: '7' };
const areas = ['Lawn', 'Bank'].map((name) => ({ site: 's', area: name, siteName: 'Lake front', areaName: name, areaM2: 100, asArea: { id: name, name, size: '1076', unit: 'ft2' as const, from: { site: 's', area: name } } })); // prettier-ignore
const planned = plannedPortions(['Lawn', 'Bank', 'Gone'].map(portion), [{ id: 'p', input: feed }], areas);
const plan = { ...blankPlan('2027', { from: '2027-01-01', to: '2027-12-31' }), ruleSet: TOWN };
const viewOf = (more: Partial<PlanView> = {}) => ({ input: plan, shelf: [{ id: 'p', input: feed }], areas, rulesName: 'Town', ...more }) as PlanView; // prettier-ignore

/** The sheet that is made of them. */
async function sheetOf(view: PlanView): Promise<JobInput> {
  const id = await makeSheet({ planned, view, soilTest: '' });
  const [, saved, input] = vi.mocked(saveNew).mock.calls.at(-1)! as unknown as [unknown, string, JobInput];
  expect(saved).toBe(id);
  return input;
}
beforeEach(() => vi.mocked(saveNew).mockClear());

it('a sheet takes the need, the label as it stands, the ground that is there, and the day', async () => {
  const { name, onDay, worksheet } = await sheetOf(viewOf());
  expect([name, onDay]).toEqual(['Lake feed on Lake front', '2027-04-19']);
  expect(worksheet.need).toEqual({ nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' });
  expect(worksheet.product).toMatchObject({ grade: '24-0-8', stock: '' });
  expect(worksheet.areas.map((area) => [area.name, area.size])).toEqual([['Lawn', '1076'], ['Bank', '1076']]); // prettier-ignore
  expect(new Set(worksheet.areas.map(({ id }) => id)).size).toBe(2);
});

it('the rules of the plan, or those of its site; none where they are gone', async () => {
  const setOf = async (view: PlanView) => (await sheetOf(view)).worksheet.rules.setId;
  expect(await setOf(viewOf())).toBe(TOWN);
  expect(await setOf(viewOf({ input: { ...plan, rulesOn: [{ site: 's', ruleSet: SCHOOL }] } }))).toBe(SCHOOL); // prettier-ignore
  expect(await setOf(viewOf({ rulesName: null }))).toBe('');
});

it('the youngest soil test of its ground, and of no other', () => {
  const test = (id: string, site: string, area: string, onDay: string) => ({ id, input: { site, area, onDay } }) as Doc<SoilTestInput>; // prettier-ignore
  const tests = [test('old', 's', '', '2024-03-01'), test('young', 's', 'Lawn', '2026-03-01'), test('else', 't', '', '2027-01-01')]; // prettier-ignore
  expect(soilTestFor(tests, planned)).toBe('young');
  expect(soilTestFor(tests.slice(2), planned)).toBe('');
});
