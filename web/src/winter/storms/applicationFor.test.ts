import { blankProduct } from '@steady-scatter/core/products';
import { applicationInput, evaluateApplication } from '@steady-scatter/core/season';
import { blankGuide, evaluateGuide, planNight, type GuideInput } from '@steady-scatter/core/winter';
import { describe, expect, it } from 'vitest';
import type { NightInput } from '../tonight/nightInput.ts';
import type { Night, NightMachine } from '../tonight/useNight.ts';
import { applicationFor, plannedText, typedAs, type AtArea } from './applicationFor.ts';

const INPUT: NightInput = { pavement: '', unit: 'degF', readOn: '', trend: '', situation: 'Frost', treatment: 'after', guide: '', product: '', isPrewetted: false, machine: '', share: '' }; // prettier-ignore
const blank = blankGuide('us', ['v', 'a'], '2026-11-01');
const GUIDE: GuideInput = { ...blank, name: 'Town', dryUnit: 'lb/lane-mile', lane: { text: '12', unit: 'ft' }, versions: [{ ...blank.versions[0]!, lines: [{ ...blank.versions[0]!.lines[0]!, situation: 'Frost', cold: '23', warm: '28', low: '150', high: '250' }] }] }; // prettier-ignore
const stored = <Input,>(id: string, input: Input) => ({ id, version: 1, schemaVersion: 1, isSample: false, changedAt: '', input }); // prettier-ignore
const SALT = { ...blankProduct('dry-deicer', 'us'), name: 'Rock salt', lot: 'A7', deicer: { ...blankProduct('dry-deicer', 'us').deicer, salt: 'sodium-chloride' as const } }; // prettier-ignore

/** A night on lanes at 25 °F, falling: the high end of the range. */
function night(more: Partial<Night> = {}): Night {
  const version = evaluateGuide(GUIDE).versions[0]!;
  const plan = planNight(version.lines, { salt: 'sodium-chloride', share: 1, limitC: null }, { pavementC: -3.9, trend: 'falling', situation: 'Frost', treatment: 'after', product: 'dry', share: null }); // prettier-ignore
  return {
    pavement: { degC: -3.9, trend: 'falling', isTyped: false, station: undefined, isAsked: false, isAir: false, error: undefined },
    guides: [],
    guide: stored('01955b04-dc0a-70f9-afe3-272f85b16b01', GUIDE),
    version,
    situations: ['Frost'],
    products: [],
    product: stored('01955b04-dc0a-70f9-afe3-272f85b16b02', SALT),
    asks: 'dry',
    plan,
    line: plan.answer.line,
    machines: [],
    instead: [],
    ...more,
  };
} // prettier-ignore

const LOT: AtArea = { id: '01955b04-dc0a-70f9-afe3-272f85b16b03', site: '01955b04-dc0a-70f9-afe3-272f85b16b04', name: 'Lot', siteName: 'Church', areaM2: 500, isByHand: false, surface: 'pavement' }; // prettier-ignore
const AT = { round: '2', runId: '01955b04-dc0a-70f9-afe3-272f85b16b05', by: 'Ada' };
const of = (more: object = {}) => applicationFor({ night: night(), input: INPUT, area: LOT, machine: null, at: AT, amount: { text: '20', from: 'weighed' }, until: '2026-12-04T03:00:00.000Z', ...more }); // prettier-ignore

describe('what is appended of an area', () => {
  it('is whole: it can be read and worked out alone', () => {
    const application = of();
    expect(applicationInput.parse(application)).toEqual(application);
    const read = evaluateApplication(application);
    expect(read.errors).toEqual([]);
    expect(read.areaM2).toBeCloseTo(500, 0);
    // 20 lb, all of it salt.
    expect(read.saltKg).toBeCloseTo(9.0718474, 6);
  });

  it('says the rate on the ground, and the line of the guide as it stands there', () => {
    const { rate, guide, weather, product } = of();
    // 250 lb on a lane-mile of 12 ft are 250 lb on 63 360 ft2.
    expect(Number(rate.text)).toBeCloseTo(250 / 63.36, 3);
    expect(rate.unit).toBe('lb/1000 ft2');
    expect(guide).toMatchObject({ name: 'Town', fromDay: '2026-11-01', low: '150', high: '250', unit: 'lb / lane-mile', situation: 'Frost', treatment: 'after' }); // prettier-ignore
    expect(weather).toMatchObject({ pavement: '25', unit: 'degF', trend: 'falling' });
    expect(product).toMatchObject({ name: 'Rock salt', lot: 'A7', kind: 'dry-deicer' });
  });

  it('of a liquid takes its density along: without one the salt of some brines is not known', () => {
    const brine = blankProduct('liquid-deicer', 'us');
    const input = { ...brine, name: 'Brine', density: { text: '9.76', unit: 'lb/gal' as const }, deicer: { ...brine.deicer, salt: 'magnesium-chloride' as const, strength: '28' } }; // prettier-ignore
    const product = stored('01955b04-dc0a-70f9-afe3-272f85b16b02', input);
    const application = of({
      night: night({ product, asks: 'liquid' }),
      amount: { text: '10', from: 'weighed' },
    });
    const read = evaluateApplication(application);
    expect(read.errors).toEqual([]);
    // 10 gal of 9.76 lb, 28 % of it salt.
    expect(read.saltKg).toBeCloseTo(10 * 9.76 * 0.45359237 * 0.28, 6);
    expect(of({ night: night({ product: stored('01955b04-dc0a-70f9-afe3-272f85b16b02', SALT) }) }).product.density).toBe(''); // prettier-ignore
  });

  it('by hand has no machine and no setting; with one it has both', () => {
    const machine = { id: 'm', calibration: 'c', name: 'Walk salter', on: { rig: { width: { text: '24', unit: 'in' } } }, setting: { line: { mark: { label: 'E', opening: 5 }, rateSi: 1, tested: true }, passes: 2, paceFactor: 1, rateSi: 2 } } as unknown as NightMachine; // prettier-ignore
    expect(of({ machine })).toMatchObject({ machine: { name: 'Walk salter' }, setting: 'E, 2 passes', spacing: '24 in' }); // prettier-ignore
    expect(of({ machine, area: { ...LOT, isByHand: true } })).toMatchObject({ machine: { id: '', name: '' }, setting: '', spacing: '' }); // prettier-ignore
  });

  it('of an area on no site keeps its size as it was typed', () =>
    expect(of({ area: { name: 'Bus stop', siteName: '', areaM2: 92.9, isByHand: false, size: '40 x 25 ft' } })).toMatchObject({ site: '', area: '', areaName: 'Bus stop', size: { text: '40 x 25 ft', unit: 'ft2' } })); // prettier-ignore

  it('without a plan has no rate, and nothing is planned', () => {
    const without = night({ plan: null, line: null, guide: null });
    expect(plannedText(without, LOT)).toBe('');
    expect(of({ night: without })).toMatchObject({ rate: { text: '' }, guide: { name: '', low: '' } });
  });

  it('what an area takes is written as one would type it', () => {
    // 3.946 lb on 1000 ft2 over 5382 ft2.
    expect(plannedText(night(), LOT)).toBe('21.2');
    expect(plannedText(night(), { ...LOT, areaM2: null })).toBe('');
    expect([typedAs(0.000123456, 'kg', 3), typedAs(12_345.6, 'kg', 4)]).toEqual(['0.000123', '12350']);
  });
});
