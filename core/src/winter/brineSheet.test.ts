import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { blankBrine, brineInput, brineSheet, type BrineInput } from './index.ts';

const of = (more: Partial<BrineInput>) => brineSheet({ ...blankBrine('metric'), marks: 'kg/L', ...more });
const said = (more: Partial<BrineInput>) =>
  of(more).errors.map((error) => [error.field, speak(error.sentence)]);

describe('brine as it is typed', () => {
  it('asks for nothing at first', () => {
    expect(brineInput.parse(blankBrine('us'))).toEqual(blankBrine('us'));
    expect(of({})).toMatchObject({
      strength: null,
      making: null,
      correction: null,
      onGround: null,
      errors: [],
    });
  });

  it('a hydrometer, a tank, a lane', () => {
    const found = of({
      reading: '1.150',
      tank: '800',
      rate: '40 gal/lane-mile',
      lane: '12 ft',
      pavement: '23 °F',
    });
    expect(found.errors).toEqual([]);
    expect(found.strength).toBeCloseTo(20.271082, 6);
    expect(found.freezesC).toBeCloseTo(-16.827, 2);
    expect(found.making!.saltKg).toBeCloseTo(0.8 * 273.703527, 5);
    expect(found.correction!.saltKg).toBeGreaterThan(36);
    expect(found.onGround!.saltKgPerM2).toBeCloseTo(0.0059967, 6);
    expect(found.pavementC).toBeCloseTo(-5, 9);
    expect(found.fate).toBe('holds');
    expect(
      ['1', '-15', '-25'].map((pavement) => of({ rate: '1', rateUnit: 'L/m2', wanted: '10', pavement }).fate),
    ).toEqual(['thaws', 'freezes', 'cold']);
    // The wanted one, where nobody looked.
    expect(
      of({ rate: '0.025723 L/m2', rateUnit: 'L/m2', pavement: '-5' }).onGround!.moreWaterM! * 1000,
    ).toBeCloseTo(0.0591407, 5);
  });

  it('points of a hydrometer are read as what they mean', () => {
    expect(of({ reading: '1150' }).strength).toBeCloseTo(20.271082, 6);
    expect(of({ reading: '1.15 kg/L' }).strength).toBeCloseTo(20.271082, 6);
  });

  it('a sample that is cold or warm is said', () => {
    expect(['10', '15', '25', '26', '68 °F'].map((sample) => of({ sample }).isSampleOff)).toEqual([true, false, false, true, false]); // prettier-ignore
  });

  it('what is wrong is said with what would be right', () => {
    expect(said({ reading: '0.985' })).toEqual([['reading', '“0.985” is less than water shows. A brine reads above 1.000: look whether the hydrometer floats freely.']]); // prettier-ignore
    expect(said({ reading: '1.3' })).toEqual([['reading', 'No more than 26 % of this salt dissolves for sure: check the salt, or the number.']]); // prettier-ignore
    expect(said({ wanted: '30' })[0]![1]).toContain('No more than 26 %');
    expect(said({ salt: 'calcium-chloride', wanted: '30' })).toEqual([]);
    expect(said({ wanted: '0', tank: '0', rate: '-3', lane: 'x', pavement: 'cold' }).map(([field]) => field)).toEqual(['wanted', 'tank', 'rate', 'lane', 'pavement']); // prettier-ignore
  });

  it('a load is wetted with what is there, else with what is wanted', () => {
    expect(of({ load: '2', wetting: '30' }).prewetting!.brineL).toBeCloseTo(60, 9);
    expect(of({ load: '2', wetting: '30', reading: '1.07' }).prewetting!.saltKg).toBeCloseTo(6.353, 2);
    expect(of({ load: '2', wetting: '30', wanted: '' }).prewetting).toBeNull();
    expect(said({ load: '0', wetting: 'wet' }).map(([field]) => field)).toEqual(['load', 'wetting']);
  });

  it('a rate on a lane waits for its width', () => {
    expect(of({ rate: '100', pavement: '-5' }).lPerM2).toBeNull();
    expect(of({ rate: '100', lane: '4', pavement: '-5' }).lPerM2).toBeCloseTo(0.025, 12);
  });
});
