import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { evaluateCalibration, spreadPlan, benchRig, blankCalibration, blankRun } from '../testing/index.ts';
import { blankRig } from '../machines/index.ts';
import {
  blankWidthTest,
  faultsOf,
  faultTexts,
  groundAt,
  groundRemarks,
  handySpacing,
  levelOf,
  mismatchOf,
  mismatchRemark,
  patternOf,
  evaluateTrays,
  readTraysTable,
  evaluateWidthTest,
  recommendation,
  traysTable,
  type WidthTestInput,
} from './index.ts';

const ROW = '0 .3 .9 1.8 2.7 3.3 3.6 3.8 3.9 3.7 3.4 3.0 2.3 1.5 .7 .2 0'.split(' ');
const input = (more: Partial<WidthTestInput> = {}): WidthTestInput => ({
  ...blankWidthTest('metric'),
  name: 'Red, trays',
  rows: [ROW],
  ...more,
});
const trays = (more: Partial<WidthTestInput> = {}) => evaluateTrays(input(more));
const layout = (more: object) => ({ layout: { ...blankWidthTest('metric').layout, ...more } });

describe('trays as typed', () => {
  it('N: catches in grams over the tray and the passes', () => {
    const { trays: read, errors, spacingM } = trays();
    expect(errors).toEqual([]);
    expect(spacingM).toBeCloseTo(0.5, 12);
    expect(read[8]).toMatchObject({ xM: 0, deposit: expect.closeTo(0.0039 / 0.45, 12), isFilled: false });
    const reading = evaluateWidthTest(input());
    expect(reading.recommendedM).toBeCloseTo(5.175, 3);
    expect(evaluateWidthTest(input({ passPattern: 'one-way' })).recommendedM).toBeCloseTo(5.205, 3);
    expect(groundAt(reading.pattern!, 5, 'one-way').overlay.mean * 1000).toBeCloseTo(7.8, 9);
  });
  it('the shape needs no scale: counts and heights recommend the same', () => {
    const count = evaluateWidthTest(
      input({ kind: 'count', rows: [ROW.map((text) => String(Number(text) * 10))] }),
    );
    expect(count.recommendedM).toBeCloseTo(5.175, 3);
    expect(count.caughtKgPerM).toBeNull();
    expect(evaluateWidthTest(input({ kind: 'height' })).recommendedM).toBeCloseTo(5.175, 3);
  });
  it('a missing tray is put in between its neighbours and marked; rows are averaged with their scatter', () => {
    const missing = trays({ rows: [ROW.with(6, '')] }).trays[6]!;
    expect(missing.isFilled).toBe(true);
    expect(missing.deposit * 450).toBeCloseTo((3.3 + 3.8) / 2, 9);
    const twice = trays({ rows: [ROW, ROW.with(8, '4.1')] }).trays[8]!;
    expect(twice.deposit * 450).toBeCloseTo(4, 9);
    expect(twice.scatter).toBeCloseTo(0.1 * Math.SQRT2 / 4, 9);
    expect(trays({ rows: [ROW.with(6, ''), ROW] }).trays[6]).toMatchObject({ isFilled: false });
  }); // prettier-ignore
  it('a gap for the wheels leaves the middle free; places typed need not be even', () => {
    expect(trays(layout({ count: '6', spacing: '0.5', gap: '1' })).positionsM).toEqual([-1.5, -1, -0.5, 0.5, 1, 1.5]);
    const uneven = { ...layout({ positions: '-3 -1.5 -0.5 0 0.5 1.5 3' }), rows: ['1 3 4 4 4 3 1'.split(' ')] };
    expect(trays(uneven).positionsM).toEqual([-3, -1.5, -0.5, 0, 0.5, 1.5, 3]);
    expect(evaluateWidthTest(input(uneven)).recommendedM).toBeGreaterThan(3);
  }); // prettier-ignore
  it('a catch ten times its neighbours asks', () => {
    const slip = { rows: [ROW.with(4, '27')] };
    expect(trays(slip).plausibility).toEqual([]);
    const [question] = trays({ rows: [ROW.with(4, '270')] }).plausibility;
    expect(speak(question!.text)).toContain('Tray 5 caught 270, 82 times its neighbors');
    expect(trays({ rows: [ROW.with(4, '270')], confirmed: [question!.id] }).plausibility).toEqual([]);
  });
  it.each<[Partial<WidthTestInput>, string, string]>([
    [{ rows: [ROW.map(() => '0')] }, 'rows.0.0', 'trays.nothing'],
    [{ ...layout({ count: '1' }), rows: [['3']] }, 'layout.count', 'trays.few'],
    [layout({ positions: '0 1 0.5' }), 'layout.positions', 'trays.order'],
    [{ tray: { length: '0.5', width: '0.8', unit: 'm' } }, 'layout.spacing', 'trays.overlap'],
    [layout({ spacing: '50' }), 'layout.spacing', 'trays.far'],
    [{ rows: [ROW.with(2, '-1')] }, 'rows.0.2', 'count.unreadable'],
    [{ rows: [ROW.with(2, 'x')] }, 'rows.0.2', 'quantity.unreadable'],
    [layout({ count: '201' }), 'layout.count', 'count.whole'],
    [{ passes: '0' }, 'passes', 'count.whole'],
    [{ limit: '90' }, 'limit', 'percent.unreadable'],
    [{ spacingMethod: 'half', throw: { text: '0', unit: 'm' } }, 'throw.text', 'quantity.not-positive'],
  ])('%j is refused at %s', (more, field, code) =>
    expect(evaluateWidthTest(input(more)).errors.map((error) => [error.field, error.code])).toEqual([[field, code]]),
  ); // prettier-ignore
  it('200 trays are read and swept', () => {
    const many = { ...layout({ count: '200', spacing: '0.05' }), tray: { length: '0.5', width: '0.05', unit: 'm' as const }, rows: [Array.from({ length: 200 }, (_, index) => String(Math.round(100 * Math.sin((Math.PI * index) / 199))))] }; // prettier-ignore
    expect(evaluateWidthTest(input(many)).recommendedM).toBeGreaterThan(4);
  });
  it('as a table out and in', () => {
    const table = traysTable(input({ rows: [ROW, ROW.with(3, '')] }), speak);
    expect(table[1]).toEqual(['-4', '0', '0']);
    const back = readTraysTable(table, input());
    expect(evaluateTrays({ ...input(), ...back }).positionsM).toEqual(trays().positionsM);
    expect(back.rows[1]![3]).toBe('');
    expect(() => readTraysTable([['a'], ['b']], input())).toThrow(
      expect.objectContaining({ code: 'trays.table' }),
    );
    expect(() => readTraysTable([['Place', 'Row'], ['x', '1'], ['0', '2'], ['1', '1']], input())).toThrow(expect.objectContaining({ field: 'lines.2' })); // prettier-ignore
  });
});

describe('three habits', () => {
  it('full and half by tape differ by two, and each says what it knows', () => {
    const of = (spacingMethod: 'full' | 'half') =>
      evaluateWidthTest(input({ spacingMethod, throw: { text: '10', unit: 'm' } }));
    expect(of('full').recommendedM).toBe(10);
    expect(of('half').recommendedM).toBe(5);
    expect(speak(recommendation(of('full'), input({ spacingMethod: 'full' })))).toContain('striped');
    expect(speak(recommendation(of('half'), input({ spacingMethod: 'half' })))).toContain(
      'until trays were set out',
    );
    expect(speak(recommendation(evaluateWidthTest(input()), input()))).toContain('up to 5.43 m');
  });
  it('mixing them puts down double, and it is said', () => {
    expect(mismatchOf(10, 5)).toEqual({ times: 2 });
    expect(mismatchOf(5, 5.1)).toBeNull();
    expect(speak(mismatchRemark({ times: 2 }, '18 ft', '9 ft'))).toContain('2.0 times the rate');
  });
  it('with the deflector down it is for trim passes: nothing is recommended for the field', () =>
    expect(evaluateWidthTest(input({ deflector: true }))).toMatchObject({
      sweeps: null,
      recommendedM: null,
    }));
  it('a spacing is rounded down to what can be paced', () => {
    expect(handySpacing(5.175, 'm')).toBe('5.15 m');
    expect(handySpacing(3.1636, 'ft')).toBe('10.25 ft');
  });
});

describe('what to change', () => {
  const of = (row: number[]) => faultsOf(patternOf(row.map((_, index) => index - (row.length - 1) / 2), row), null, null).join(); // prettier-ignore
  it.each([
    [[0, 1, 3, 4, 4, 4, 3, 1, 0], ''],
    [[0, 3, 5, 5, 4, 3, 2, 1, 0], 'left-heavy'],
    [[0, 1, 2, 3, 4, 5, 5, 3, 0], 'right-heavy'],
    [[0, 3, 5, 4, 2, 4, 5, 3, 0], 'hollow'],
    [[0, 1, 1, 2, 9, 2, 1, 1, 0], 'peaked'],
  ])('%j: %s', (row, fault) => expect(of(row)).toBe(fault));
  it('says what usually causes it on this kind of machine', () => {
    expect(speak(faultTexts(['hollow'], 'push-rotary')[0]!.try)).toContain('impeller');
    expect(speak(faultTexts(['hollow'], 'push-drop')[0]!.try)).toContain('hopper');
    expect(faultsOf(patternOf([-1, 0, 1], [1, 1, 1]), 2, 5)).toEqual(['narrow']);
  });
  it('the level: what the trays kept of what was weighed', () => {
    expect(speak(levelOf(0.87, 1))).toContain('87 %');
    expect(speak(levelOf(0.87, 1))).toContain('bounced out');
    expect(speak(levelOf(0.98, 1))).toContain('as it should be');
    expect(speak(levelOf(1.2, 1))).toContain('cannot be');
  });
  it('remarks at a spacing have the share, the hollow and the two directions', () => {
    const reading = evaluateWidthTest(input());
    const lines = groundRemarks(reading, groundAt(reading.pattern!, 5.5, 'one-way'), input())
      .map(speak)
      .join(' ');
    for (const words of [
      'CV 16 %, beyond your limit of 15 %',
      '52.3 % falls to the left',
      'it would be CV 11 %',
    ])
      expect(lines).toContain(words);
  });
});

describe('a chart passed at another spacing', () => {
  const rig = benchRig({ ...blankRig('us'), control: { ...blankRig('us').control, from: '0', to: '20' } });
  const strip = (setting: string, left: string) => ({ ...blankRun(setting, '2026-04-10', 'weigh-back'), setting, readings: { in: '48.00', left, length: '100' } }); // prettier-ignore
  const chart = evaluateCalibration({ ...blankCalibration('us'), name: 'Red', target: { amount: '3', unit: 'lb/1000 ft2' }, width: { text: '18', unit: 'ft', by: 'chosen' }, runs: [strip('8', '46.2'), strip('12', '42.6')] }, rig); // prettier-ignore
  it('worked out for the full throw and passed at half of it: double, unless it is worked out anew', () => {
    const rate = chart.chart.find(({ mark }) => mark.label === '10')!.rateSi;
    expect(spreadPlan(chart, rate, 9 * 0.3048, false, false)).toMatchObject({ times: expect.closeTo(2, 9), found: { line: { mark: { label: '10' } } } }); // prettier-ignore
    expect(spreadPlan(chart, rate, 18 * 0.3048, false, false)!.times).toBeNull();
    expect(spreadPlan(chart, rate, null, false, false)!.times).toBeNull();
    const anew = spreadPlan(chart, rate, 9 * 0.3048, true, false)!;
    expect(anew.times).toBeNull();
    // Half the output gives as much on half the width: that of mark 8.
    expect(anew.found).toMatchObject({ line: { mark: { label: '8' } }, beyond: null });
  });
});
