import { speak } from '@steady-scatter/words/everything';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  asksForLane,
  blankGuide,
  blankGuideLine,
  evaluateGuide,
  guidePicture,
  guideRulers,
  guideTable,
  lookUpGuide,
  readGuideTable,
  TREATMENTS,
  TRENDS,
  versionOn,
  type GuideCase,
  type GuideInput,
  type GuideLineInput,
} from './index.ts';

const line = (more: Partial<GuideLineInput>): GuideLineInput => ({ ...blankGuideLine(Object.values(more).join('-') || 'x'), situation: 'Frost', low: '2', high: '4', ...more }); // prettier-ignore
const guideOf = (lines: readonly GuideLineInput[], more: Partial<GuideInput> = {}): GuideInput => ({
  ...blankGuide('us', ['v', 'x'], '2026-11-01'),
  name: 'Town',
  ...more,
  versions: [{ id: 'v', fromDay: '2026-11-01', note: '', lines: [...lines] }],
});
const linesOf = (lines: readonly GuideLineInput[], more: Partial<GuideInput> = {}) => evaluateGuide(guideOf(lines, more)).versions[0]!.lines; // prettier-ignore
const CASE: GuideCase = { trend: 'steady', situation: 'frost', treatment: 'before', product: 'dry' };
const at23 = -5;

describe('a guide', () => {
  it('is read with its rates on the ground', () => {
    const [read] = linesOf([line({ cold: '15', warm: '23' })]);
    expect(read).toMatchObject({ coldC: expect.closeTo(-9.444444, 5), warmC: expect.closeTo(at23, 9) });
    // lb per 1000 ft2: 0.45359237 / 92.90304.
    expect(read!.rate!.low).toBeCloseTo((2 * 0.45359237) / 92.90304, 9);
  });

  it('on lanes asks for their width once, and divides by it', () => {
    const onLanes = { dryUnit: 'lb/lane-mile' } as const;
    const { errors, versions } = evaluateGuide(guideOf([line({ low: '100', high: '300' })], onLanes));
    expect(errors.map(({ code, field }) => [code, field])).toEqual([['guide.lane', 'lane.text']]);
    expect(versions[0]!.lines).toEqual([]);
    const [read] = linesOf([line({ low: '100', high: '300' })], { ...onLanes, lane: { text: '12', unit: 'ft' } });
    // Case: 300 lb on 63 360 ft2 of a 12 ft lane.
    expect(read!.rate!.high).toBeCloseTo((300 * 0.45359237) / (5280 * 12 * 0.09290304), 9);
    expect(asksForLane({ dryUnit: 'g/m2', liquidUnit: 'L/lane-km' })).toBe(true);
  });

  it('says what is wrong where it is wrong, and keeps the other lines', () => {
    const { errors, versions } = evaluateGuide(
      guideOf([
        line({ cold: '28', warm: '23' }),
        line({ low: '5', high: '4' }),
        line({ situation: ' ' }),
        line({ low: '', high: '' }),
        line({ warm: '60' }),
        line({ low: '-1' }),
        line({ low: '', high: '', advice: 'Plow only' }),
        line({ low: '0', high: '0' }),
      ]),
    );
    expect(errors.map(({ code, field }) => [field.replace('versions.0.lines.', ''), code])).toEqual([
      ['0.cold', 'guide.band'],
      ['1.low', 'product.range'],
      ['2.situation', 'guide.situation.empty'],
      ['3.low', 'guide.rate.empty'],
      ['4.warm', 'pavement.slip'],
      ['5.low', 'quantity.not-positive'],
    ]);
    expect(versions[0]!.lines.map(({ rate }) => rate)).toEqual([null, { low: 0, high: 0 }]);
  });

  it('has the version of a day, the last one from it or before', () => {
    const guide = guideOf([]);
    const [only] = guide.versions;
    const { versions } = evaluateGuide({ ...guide, versions: [{ ...only!, id: 'old', fromDay: '2025-11-01' }, only!] });
    expect(versions.map(({ id }) => id)).toEqual(['v', 'old']);
    expect(versionOn(versions, '2026-10-31')?.id).toBe('old');
    expect(versionOn(versions, '2026-11-01')?.id).toBe('v');
    expect(versionOn(versions, '2025-01-01')).toBeNull();
  });
}); // prettier-ignore

describe('looking up', () => {
  const two = linesOf([line({ cold: '23', warm: '28', low: '2' }), line({ cold: '15', warm: '23', low: '3', high: '5' })]); // prettier-ignore
  const lowAt = (degC: number, lines = two, asked = CASE) => lookUpGuide(lines, degC, asked).line?.rate?.low;
  const lb = (rate: number) => (rate * 0.45359237) / 92.90304;

  it('at the edge of two bands takes the colder one', () => {
    expect(lowAt(at23)).toBeCloseTo(lb(3), 9);
    expect(lowAt(at23 + 0.01)).toBeCloseTo(lb(2), 9);
    expect(lowAt((15 - 32) / 1.8)).toBeCloseTo(lb(3), 9);
    expect(lowAt((28 - 32) / 1.8)).toBeCloseTo(lb(2), 9);
  });

  it('in a gap and beyond names the lines to either side', () => {
    const gap = linesOf([line({ cold: '26', warm: '32' }), line({ cold: '15', warm: '25' })]);
    const { line: none, colder, warmer } = lookUpGuide(gap, (25.5 - 32) / 1.8, CASE);
    expect([none, colder!.warmC, warmer!.coldC]).toEqual([null, expect.closeTo(-3.888889, 5), expect.closeTo(-3.333333, 5)]); // prettier-ignore
    expect(lookUpGuide(gap, -20, CASE)).toMatchObject({
      line: null,
      colder: null,
      warmer: { id: gap[1]!.id },
    });
  });

  it('takes a line for its trend before one for any, and never one for another', () => {
    const lines = linesOf([line({ low: '2' }), line({ trend: 'falling', low: '3' }), line({ treatment: 'after', trend: 'falling', low: '4' })]); // prettier-ignore
    expect(lowAt(-3, lines)).toBeCloseTo(lb(2), 9);
    expect(lowAt(-3, lines, { ...CASE, trend: 'falling' })).toBeCloseTo(lb(3), 9);
    expect(lowAt(-3, lines, { ...CASE, trend: 'falling', treatment: 'after' })).toBeCloseTo(lb(4), 9);
    expect(lookUpGuide(lines, -3, { ...CASE, situation: 'Light snow' }).line).toBeNull();
    expect(lookUpGuide(lines, -3, { ...CASE, product: 'liquid' }).line).toBeNull();
  });
});

describe('the ruler', () => {
  it('shows gaps between bands and overlaps of equals', () => {
    const [ruler] = guideRulers(linesOf([line({ cold: '28', warm: '32' }), line({ cold: '15', warm: '25' }), line({ cold: '20', warm: '26' })])); // prettier-ignore
    const f = ({ coldC, warmC }: { coldC: number | null; warmC: number | null }) => [coldC, warmC].map((degC) => Math.round(degC! * 1.8 + 32)); // prettier-ignore
    expect(ruler!.bands.map(f)).toEqual([[15, 25], [20, 26], [28, 32]]); // prettier-ignore
    expect(ruler!.gaps.map(f)).toEqual([[26, 28]]);
    expect(ruler!.overlaps.map(f)).toEqual([[20, 25]]);
  });

  it('tells trends and treatments apart where the guide does', () => {
    const rulers = guideRulers(linesOf([line({}), line({ treatment: 'after', trend: 'falling' }), line({ situation: 'Light snow' })])); // prettier-ignore
    expect(rulers.map(({ situation, treatment, trend }) => `${situation} ${treatment} ${trend}`)).toEqual([
      ...TREATMENTS.flatMap((treatment) => TRENDS.map((trend) => `Frost ${treatment} ${trend}`)),
      'Light snow any any',
    ]);
    // One for any and one for this case are no overlap.
    expect(rulers.flatMap(({ overlaps }) => overlaps)).toEqual([]);
  });

  const edge = fc.integer({ min: -20, max: 5 });
  const someLine = fc
    .record({
      edges: fc.tuple(edge, edge).filter(([a, b]) => a !== b),
      trend: fc.constantFrom('any' as const, ...TRENDS),
      treatment: fc.constantFrom('any' as const, ...TREATMENTS),
      isOpen: fc.boolean(),
    })
    .map(({ edges: [a, b], trend, treatment, isOpen }) => line({ trend, treatment, cold: isOpen ? '' : `${Math.min(a, b)}`, warm: `${Math.max(a, b)}` })); // prettier-ignore

  it('property: between its first and last band a guide has a line wherever the ruler shows no gap, and none where it does', () => {
    fc.assert(
      fc.property(fc.array(someLine, { minLength: 1, maxLength: 8 }), fc.integer({ min: -200, max: 50 }), (lines, tenths) => {
        const read = linesOf(lines, { temperatureUnit: 'degC' });
        const degC = tenths / 10;
        for (const { situation, product, treatment, trend, bands, gaps } of guideRulers(read)) {
          const asked: GuideCase = { situation, product, treatment: treatment === 'any' ? 'after' : treatment, trend: trend === 'any' ? 'rising' : trend };
          const found = lookUpGuide(read, degC, asked).line;
          const isInRange = degC >= (bands[0]!.coldC ?? -Infinity) && degC <= Math.max(...bands.map(({ warmC }) => warmC!));
          const isInGap = gaps.some(({ coldC, warmC }) => degC > coldC! && degC < warmC!);
          expect(found !== null).toBe(isInRange && !isInGap);
          if (found) expect(bands.some(({ line: { id } }) => id === found.id)).toBe(true);
        }
      }),
      { seed: 11 },
    );
  }); // prettier-ignore
});

describe('the picture', () => {
  it('lays all rulers on one scale, with ticks in the unit of the guide', () => {
    const read = linesOf([line({ cold: '15', warm: '25' }), line({ cold: '26', warm: '' }), line({ situation: 'Snow', cold: '20', warm: '30' })]); // prettier-ignore
    const { ticks, rulers } = guidePicture(guideRulers(read), 'degF');
    expect(ticks.map(({ degrees }) => degrees)).toEqual([15, 20, 25, 30, 35]);
    expect(ticks[0]!.at).toBeCloseTo(0, 12);
    // 15 °F to 30 °F and 3 °C more: 20.4 °F in all.
    expect(rulers[0]!.bands.map(({ from, to }) => [from, to])).toEqual([[0, expect.closeTo(10 / 20.4, 9)], [expect.closeTo(11 / 20.4, 9), 1]]); // prettier-ignore
    expect(rulers[0]!.gaps).toMatchObject([{ from: expect.closeTo(10 / 20.4, 9), to: expect.closeTo(11 / 20.4, 9) }]); // prettier-ignore
    expect(rulers.flatMap(({ bands }) => bands.map(({ share }) => share))).toEqual([1, 1, 1]);
    expect(rulers[1]!.bands[0]!.from).toBeCloseTo(ticks[1]!.at, 9);
    expect(guidePicture(guideRulers(linesOf([line({})])), 'degC')).toEqual({ ticks: [], rulers: [] });
  });
});

describe('as a table', () => {
  let id = 0;
  const newId = () => `n${(id += 1)}`;
  const withoutIds = (lines: readonly GuideLineInput[]) =>
    lines.map((each) => Object.assign({}, each, { id: '' }));

  it('goes out and comes back the same', () => {
    const guide = guideOf([
      line({ cold: '-5', warm: '15', trend: 'falling', treatment: 'after', advice: 'Plow first; "twice"' }),
      line({ product: 'liquid', low: '0.3', high: '', situation: 'Before snow' }),
    ]);
    const table = guideTable(guide, guide.versions[0]!, speak);
    expect(table[0]).toContain('Temperature unit');
    expect(withoutIds(readGuideTable(table, guide, newId, speak))).toEqual(withoutIds(guide.versions[0]!.lines)); // prettier-ignore
  });

  it('takes columns in any order and other units, and says which word it does not know', () => {
    const guide = guideOf([]);
    const read = readGuideTable([['Low', 'Situation', 'Coldest', 'Temperature unit', 'Rate unit'], ['12', 'Frost', '-5', 'degC', 'g/m2'], ['', '']], guide, newId, speak); // prettier-ignore
    expect(read).toMatchObject([{ low: '12 g/m2', cold: '-5 degC', trend: 'any', product: 'dry' }]);
    const wrong = (rows: string[][]) => {
      try {
        return readGuideTable(rows, guide, newId, speak);
      } catch (error) {
        return (error as { code: string; field: string }).code + (error as { field: string }).field;
      }
    };
    expect(wrong([['Colour'], ['red']])).toBe('guide.columnslines');
    expect(
      wrong([
        ['Situation', 'Low', 'Trend'],
        ['Frost', '1', 'upwards'],
      ]),
    ).toBe('guide.choicelines.2');
    expect(wrong([['Situation', 'Low'], ...Array.from({ length: 201 }, () => ['Frost', '1'])])).toBe('guide.lineslines'); // prettier-ignore
  });
});
