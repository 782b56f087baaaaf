import { blankGuideLine, evaluateGuide, guideRulers, blankGuide, type BandSetting, type GuideLineInput } from '@steady-scatter/core/winter'; // prettier-ignore
import { blankApplication } from '@steady-scatter/core/season';
import { describe, expect, it } from 'vitest';
import { degrees, degreesRead } from './degrees.ts';
import { bandLabel, bandText, caseText, ratesText, stretchText } from './guides/guideTexts.ts';
import { isPlain, settingText } from './settingText.ts';
import { amountText } from './storms/roundTexts.ts';
import { rowText } from '../records/rowText.ts';
import { amountUnitOf, rateUnitOf } from './tonight/rateUnitOf.ts';

const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, ' ');
const line = (more: Partial<GuideLineInput> = {}): GuideLineInput => ({ ...blankGuideLine('a'), situation: 'Frost', cold: '23', warm: '28', low: '2', high: '3', ...more }); // prettier-ignore
const GUIDE = { ...blankGuide('us', ['v', 'a'], '2026-11-01'), name: 'Town' };

describe('temperatures', () => {
  it('that were worked out are whole, that were read have their tenths', () => {
    expect([degrees(-9.1, 'degF'), degreesRead(-9.1, 'degF'), degreesRead(-5, 'degF')].map(plain)).toEqual(['16 °F', '15.6 °F', '23 °F']); // prettier-ignore
    expect([degrees(-5, 'degC'), degreesRead(-5, 'degC')].map(plain)).toEqual(['−5.0 °C', '−5 °C']);
  });
});

describe('a line of a guide', () => {
  it.each<[Partial<GuideLineInput>, string]>([
    [{}, '23 to 28 °F'],
    [{ cold: '' }, 'below 28 °F'],
    [{ warm: '' }, 'above 23 °F'],
    [{ cold: '', warm: '' }, 'any temperature'],
    [{ cold: '-10' }, '−10 to 28 °F'],
    [{ cold: '', warm: '-5' }, 'below −5 °F'],
    [{ cold: '-10', warm: '-5 degC' }, '−10 to −5 degC'],
  ])('%j is told as %s', (more, told) => expect(plain(bandText(line(more), 'degF'))).toBe(told));

  it.each<[Partial<GuideLineInput>, string]>([
    [{}, '2 to 3 lb / 1000 ft²'],
    [{ high: '' }, '2 lb / 1000 ft²'],
    [{ high: '2' }, '2 lb / 1000 ft²'],
    [{ product: 'liquid' }, '2 to 3 gal / 1000 ft²'],
    [{ low: '', high: '', advice: 'Plow only' }, 'Plow only'],
  ])('%j puts down %s', (more, told) => expect(plain(ratesText(line(more), GUIDE))).toBe(told));

  it('names its case, and leaves out what holds for any', () => {
    expect(caseText(line())).toBe('Frost, dry');
    expect(caseText(line({ treatment: 'before', trend: 'falling', product: 'liquid' }))).toBe('Frost, before, falling, liquid'); // prettier-ignore
    expect(caseText(line({ situation: ' ' }))).toBe('No situation, dry');
    expect(bandLabel({ id: 'a' }, [line()])).toBe('2–3');
    expect(bandLabel({ id: 'a' }, [line({ low: '', high: '' })])).toBe('—');
    expect(bandLabel({ id: 'z' }, [line()])).toBe('');
  });

  it('a stretch between two lines is told in the unit of the guide', () => {
    const versions = [{ id: 'v', fromDay: '2026-11-01', note: '', lines: [line({ cold: '15', warm: '22.5' }), line({ id: 'b' })] }]; // prettier-ignore
    const [ruler] = guideRulers(evaluateGuide({ ...GUIDE, versions }).versions[0]!.lines);
    expect(ruler!.gaps.map((gap) => plain(stretchText(gap, 'degF')))).toEqual(['22.5 to 23 °F']);
    expect(ruler!.gaps.map((gap) => plain(stretchText(gap, 'degC')))).toEqual(['−5.3 to −5 °C']);
  });
});

describe('a setting', () => {
  const setting = (more: Partial<BandSetting>): BandSetting => ({ line: { mark: { label: '6', opening: 6 }, rateSi: 0.01, tested: true }, passes: 1, paceFactor: 1, rateSi: 0.01, ...more }); // prettier-ignore
  it.each<[Partial<BandSetting>, string]>([
    [{}, ''],
    [{ paceFactor: 1.01 }, ''],
    [{ passes: 2 }, '2 passes'],
    [{ paceFactor: 1.25 }, '25 % faster'],
    [{ paceFactor: 0.8 }, '20 % slower'],
  ])('%j is used "%s"', (more, told) => {
    expect(settingText(setting(more))).toBe(told);
    expect(isPlain(setting(more))).toBe(told === '');
  });
});

describe('amounts', () => {
  const night = (dryUnit: 'lb/lane-mile' | 'kg/lane-km', asks: 'dry' | 'liquid') => ({ asks, guide: { id: 'g', version: 1, schemaVersion: 1, isSample: false, changedAt: '', input: { ...GUIDE, dryUnit, liquidUnit: 'L/lane-km' as const } } }); // prettier-ignore
  it('of a night are told as its guide counts, on the ground', () => {
    expect([rateUnitOf(night('lb/lane-mile', 'dry')), amountUnitOf(night('lb/lane-mile', 'dry'))]).toEqual(['lb/1000 ft2', 'lb']); // prettier-ignore
    expect([rateUnitOf(night('kg/lane-km', 'dry')), amountUnitOf(night('kg/lane-km', 'dry'))]).toEqual(['g/m2', 'kg']); // prettier-ignore
    expect([rateUnitOf(night('lb/lane-mile', 'liquid')), amountUnitOf(night('lb/lane-mile', 'liquid'))]).toEqual(['L/100 m2', 'L']); // prettier-ignore
    expect(rateUnitOf({ asks: 'dry', guide: null })).toBe('lb/1000 ft2');
  });

  it('of a row are told with what they are on the ground, where its size is known', () => {
    const row = { ...blankApplication('us'), areaName: 'Lot', amount: { text: '18', unit: 'lb', from: 'weighed' } } as const; // prettier-ignore
    expect(plain(rowText(row))).toBe('18.0 lb');
    expect(plain(rowText({ ...row, size: { text: '6000', unit: 'ft2' } }))).toBe(
      '18.0 lb, 3.00 lb / 1000 ft²',
    );
    const metric = { ...blankApplication('metric'), size: { text: '500', unit: 'm2' }, amount: { text: '6', unit: 'kg', from: 'weighed' } } as const; // prettier-ignore
    expect(plain(rowText(metric))).toBe('6.00 kg, 12.0 g / m²');
    const brine = { ...row, size: { text: '6000', unit: 'ft2' }, product: { ...row.product, kind: 'liquid-deicer' }, amount: { text: '4.2', unit: 'gal', from: 'weighed' } } as const; // prettier-ignore
    expect(plain(rowText(brine))).toBe('4.20 gal, 0.700 gal / 1000 ft²');
  });

  it('of a round are told dry and liquid apart', () => {
    expect(plain(amountText({ dryKg: 10, liquidL: 0 }, true))).toBe('22.0 lb');
    expect(plain(amountText({ dryKg: 10, liquidL: 38 }, false))).toBe('10.0 kg, 38.0 L');
    expect(amountText({ dryKg: 0, liquidL: 0 }, true)).toBe('—');
  });
});
