import {
  blankPlan,
  planBook,
  plannedPortions,
  portionGroups,
  portionStates,
  type PortionInput,
} from '@steady-scatter/core/plan';
import { blankProduct } from '@steady-scatter/core/products';
import { blankRule, blankRuleSet, evaluateRuleSet } from '@steady-scatter/core/regulations';
import { describe, expect, it } from 'vitest';
import { brokenOf, groupState, needText, plannedOf, stateText, whereText, whyText } from './planTexts.ts';
import { brokenOn, nearestDay, type PlanView } from './usePlan.ts';

const portion = (id: string, areaName: string, more: Partial<PortionInput> = {}): PortionInput => ({ id, site: 's', area: areaName, siteName: 'Lake front', areaName, product: 'p', productName: 'Lake feed', nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2', onDay: '2027-04-19', hold: '', why: '', job: '', ...more }); // prettier-ignore
const feed = { ...blankProduct('dry-fertilizer', 'us'), name: 'Lake feed', grade: '24-0-8' };

/** A plan as it is looked at on a day, held against a closed spring and a cap at once. */
function viewOf(portions: readonly PortionInput[], today = '2027-04-01'): PlanView {
  const input = { ...blankPlan('2027', { from: '2027-01-01', to: '2027-12-31' }), portions };
  const areas = ['Lawn', 'Bank'].map((name) => ({ site: 's', area: name, siteName: 'Lake front', areaName: name, areaM2: 100, asArea: {} as never })); // prettier-ignore
  const planned = plannedPortions(portions, [{ id: 'p', input: feed }], areas);
  const rules = evaluateRuleSet({ ...blankRuleSet('lb/1000 ft2', 'r'), name: 'Town', rules: [{ ...blankRule('r'), kind: 'closed', from: '12-15', to: '03-01' }, { ...blankRule('q'), amount: '1' }] }).rules; // prettier-ignore
  const book = planBook({ rules, rulesOn: new Map(), rows: [], planned, soilTests: [], yearStart: '01-01' });
  const view = { input, today, shelf: [], areas, planned: new Map(planned.map((each) => [each.input.id, each])), states: portionStates(portions, [], today), open: planned, book, broken: new Map(), twice: [], rulesName: 'Town', isClosed: () => false }; // prettier-ignore
  const broken = new Map(planned.map((each) => [each.input.id, brokenOn(view, [each], each.input.onDay)]));
  return { ...view, broken };
}

describe('what a plan says of a portion', () => {
  it('its need with the nutrient before the area, the product itself without one', () => {
    expect(needText(portion('a', 'Lawn'))).toBe('0.8 lb N / 1000 ft²');
    expect(needText({ amount: '3', unit: 'lb/1000 ft2', nutrient: 'product' })).toBe('3 lb / 1000 ft²');
    expect(needText({ amount: '40', unit: 'kg/ha', nutrient: 'K2O' })).toBe('40 kg K₂O / ha');
  });

  it('where it goes, and how it stands', () => {
    const view = viewOf([portion('a', 'Lawn'), portion('b', 'Bank')]);
    const [group] = portionGroups(view.input.portions);
    expect(whereText(group!)).toBe('Lake front: Lawn and Bank');
    expect([groupState(group!, view), stateText(group!, view)]).toEqual(['ahead', 'ahead']);
    const late = viewOf([portion('a', 'Lawn')], '2027-05-30');
    expect(stateText(portionGroups(late.input.portions)[0]!, late)).toBe('missed');
    const held = viewOf([portion('a', 'Lawn', { hold: 'weather', why: ' Frost ' })]);
    expect(stateText(portionGroups(held.input.portions)[0]!, held)).toBe('waits for the weather: Frost');
  });

  it('what stands against a day, each rule once, with the nearest day where a day mends it', () => {
    const view = viewOf([portion('a', 'Lawn'), portion('b', 'Bank')]);
    const planned = plannedOf(portionGroups(view.input.portions)[0]!, view);
    expect(brokenOf(portionGroups(view.input.portions)[0]!, view)).toEqual([]);
    const broken = brokenOn(view, planned, '2027-02-20');
    expect(broken).toHaveLength(1);
    expect(whyText(view, planned, '2027-02-20', broken)).toBe('closed dates. The nearest allowed day is 2 Mar 2027.'); // prettier-ignore
    expect(nearestDay(view, planned, '2027-12-20')).toBe('2027-12-14');
    expect(whyText(view, planned, '2027-05-20', [])).toBe('no rule is broken.');
  });

  it('a cap is mended by no other day', () => {
    const view = viewOf([portion('a', 'Lawn', { amount: '1.4' })]);
    const planned = plannedOf(portionGroups(view.input.portions)[0]!, view);
    expect(whyText(view, planned, '2027-04-19', brokenOn(view, planned, '2027-04-19'))).toMatch(/^most nitrogen at once\. No other day of the plan is allowed\.$/); // prettier-ignore
  });
});
