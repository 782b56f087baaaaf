import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { toResult } from '../errors/index.ts';
import {
  fromSi,
  KINDS,
  readQuantity,
  showNumber,
  showQuantity,
  showWithUncertainty,
  toSi,
  UNITS,
  UNIT_IDS,
  type Kind,
  type UnitId,
} from './index.ts';

const read = (input: string, kind: Kind, bareUnit: UnitId | null = null) =>
  readQuantity(input, { kind, bareUnit, field: 'f' });
const codeOf = (input: string, kind: Kind, bareUnit: UnitId | null = null) =>
  toResult(() => read(input, kind, bareUnit)).error?.code;

describe('units', () => {
  it.each([
    ['lb', 0.45359237], ['gal', 3.785411784], ['acre', 4046.8564224], ['mph', 0.44704], ['ft', 0.3048], ['ton', 907.18474],
    ['lb/acre', 0.45359237 / 4046.8564224], ['psi', 6894.757293168], ['kg/lane-km', 0.001], ['lb/100 row ft', 0.45359237 / 30.48],
  ] as const)('%s is %f in SI', (unit, si) => {
    expect(Math.abs(toSi(1, unit) / si - 1)).toBeLessThan(1e-12);
  }); // prettier-ignore

  it('holds the identities between systems', () => {
    expect(toSi(1, 'lb/ft2') / toSi(1, 'lb/1000 ft2')).toBeCloseTo(1000, 9);
    expect(toSi(43560, 'ft2')).toBeCloseTo(toSi(1, 'acre'), 9);
    expect(toSi(1, 'lb/1000 ft2') / toSi(1, 'lb/acre')).toBeCloseTo(43.56, 9);
    expect(toSi(1, 'kg/100 m2')).toBeCloseTo(toSi(100, 'kg/ha'), 12);
    expect(toSi(128, 'fl oz/1000 ft2')).toBeCloseTo(toSi(1, 'gal/1000 ft2'), 12);
    expect(
      [toSi(32, 'degF'), toSi(212, 'degF'), toSi(-40, 'degF')].map((c) => Math.round(c * 1e9) / 1e9),
    ).toEqual([0, 100, -40]);
  });

  it('comes back within 1e-12 from every unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...UNIT_IDS),
        fc.double({ min: 1e-6, max: 1e9, noNaN: true }),
        (unit, number) => {
          expect(Math.abs(fromSi(toSi(number, unit), unit) / number - 1)).toBeLessThan(
            UNITS[unit].kind === 'temperature' ? 1e-7 : 1e-12,
          );
        },
      ),
      { seed: 4101, numRuns: 2000 },
    );
  });

  it('reads each unit by its symbol, and no spelling means two units of one kind', () => {
    for (const unit of UNIT_IDS) {
      const { kind, symbol } = UNITS[unit];
      expect(read(`2 ${symbol}`, kind), unit).toMatchObject({ unit });
      for (const spelling of UNITS[unit].spellings)
        expect(read(`2 ${spelling}`, kind).si, spelling).toBeCloseTo(toSi(2, unit), 9);
    }
  });

  it('has an example that reads for every kind', () => {
    for (const [kind, { example }] of Object.entries(KINDS))
      expect(read(example, kind as Kind).input).toBe(example);
  });
});

describe('reading what people type', () => {
  it.each([
    ['3 lb 4 oz', 'mass', 3.25 * 0.45359237], ['3lb4oz', 'mass', 3.25 * 0.45359237], ['3 lb, 4 oz', 'mass', 3.25 * 0.45359237],
    ['1/2 lb', 'mass', 0.5 * 0.45359237], ['6½ lbs.', 'mass', 6.5 * 0.45359237], ['3 1/2 POUNDS', 'mass', 3.5 * 0.45359237],
    ['0.5 kg', 'mass', 0.5], ['.5kg', 'mass', 0.5], ['250 g', 'mass', 0.25], ['7,400 sq ft', 'area', 7400 * 0.3048 ** 2],
    ['7 400 ft²', 'area', 7400 * 0.3048 ** 2], ['7\u202f400 ft2', 'area', 7400 * 0.3048 ** 2], ['1000 sq. ft.', 'area', 1000 * 0.3048 ** 2],
    ['0.17 ac', 'area', 0.17 * 4046.8564224], ["62' 6\"", 'length', 62.5 * 0.3048], ['5ft2in', 'length', 62 * 0.0254], ['62′', 'length', 62 * 0.3048],
    ['0.8 lb per 1,000 square feet', 'massPerArea', toSi(0.8, 'lb/1000 ft2')], ['0.8lb/1000ft2', 'massPerArea', toSi(0.8, 'lb/1000 ft2')],
    ['1/2 lb/acre', 'massPerArea', toSi(0.5, 'lb/acre')], ['40 kg / ha', 'massPerArea', 0.004], ['2 fl oz/1000 ft2', 'volumePerArea', toSi(2, 'fl oz/1000 ft2')],
    ['33 g/m', 'massPerRowLength', 0.033], ['-5 °C', 'temperature', -5], ['−5 °C', 'temperature', -5], ['23 F', 'temperature', -5], ['1e3 g', 'mass', 1],
    ['6⅔ lb', 'mass', (20 / 3) * 0.45359237], ['6 ⅔ lb', 'mass', (20 / 3) * 0.45359237], ['⅞ in', 'length', 0.875 * 0.0254], ['2⅜ ft', 'length', 2.375 * 0.3048], ['1⅕ kg', 'mass', 1.2], ['0⅒ kg', 'mass', 0.1],
    ['3 mph', 'speed', 3 * 0.44704], ['4 mi/h', 'speed', 4 * 0.44704], ['5 km/h', 'speed', 5 / 3.6],
  ] as const)('%s', (input, kind, si) => {
    expect(Math.abs(read(input, kind).si - si)).toBeLessThan(1e-12 * Math.max(1, Math.abs(si)));
  }); // prettier-ignore

  it('gives a bare number the unit that the field shows, and completes a weight with its area', () => {
    expect(read('7,400', 'area', 'ft2').si).toBeCloseTo(687.48, 2);
    expect(read('12.8 oz', 'massPerArea', 'lb/1000 ft2')).toMatchObject({ unit: 'oz/1000 ft2' });
    expect(read('12.8 oz', 'massPerArea', 'lb/1000 ft2').si).toBeCloseTo(toSi(0.8, 'lb/1000 ft2'), 12);
  });

  it.each([
    ['', 'mass', 'number.empty'], ['lots', 'mass', 'quantity.unreadable'], ['🌱', 'mass', 'quantity.unreadable'],
    ['0,5 kg', 'mass', 'number.decimal-comma'], ['1,50 kg', 'mass', 'number.decimal-comma'], ['0,500 kg', 'mass', 'number.decimal-comma'],
    ['1e309 kg', 'mass', 'number.too-large'], ['9'.repeat(40), 'mass', 'unit.missing'], ['5', 'mass', 'unit.missing'], ['5 stone', 'mass', 'unit.unknown'],
    ['5 ft', 'mass', 'unit.other-kind'], ['4 oz', 'volume', 'unit.which-ounce'], ['4 oz/1000 ft2', 'volumePerArea', 'unit.which-ounce'],
    ['3 lb -4 oz', 'mass', 'quantity.parts'], ['NaN', 'mass', 'quantity.unreadable'], ['Infinity kg', 'mass', 'quantity.unreadable'],
    ['3 oz 4 lb', 'mass', 'quantity.parts'], ['3 lb 4', 'mass', 'quantity.parts'], ['0.5.3 kg', 'mass', 'quantity.parts'],
    ['<b>5</b> kg', 'mass', 'quantity.unreadable'], ['x'.repeat(10_000), 'mass', 'text.too-long'], ['1/0 lb', 'mass', 'number.too-large'], ['0/0 lb', 'mass', 'number.unreadable'],
  ] as const)('refuses %s as %s: %s', (input, kind, code) => {
    expect(codeOf(input, kind)).toBe(input.startsWith('999') ? 'number.too-large' : code);
  }); // prettier-ignore

  it('says what would be right', () => {
    expect(speak(toResult(() => read('0,5 kg', 'mass')).error!.sentence)).toBe(
      'The comma in 0,5 can be read two ways. Write 0.5 if it marks a decimal.',
    );
    expect(toResult(() => read('4 oz', 'volume')).error?.hint).toBe('4 fl oz');
  });
});

describe('showing what is honest', () => {
  it.each([
    [3.333333, '3.33'], [24.666667, '24.7'], [2356, '2\u202f360'], [0.266667, '0.267'], [0, '0'], [999.6, '1\u202f000'],
    [0.0995, '0.0995'], [9.996, '10.0'], [1234567, '1\u202f230\u202f000'], [-12.34, '−12.3'],
  ])('%f as %s', (value, text) => expect(showNumber(value, 3)).toBe(text)); // prettier-ignore

  it('shows an uncertainty to one figure, or two when it begins with 1, and the value to the same place', () => {
    expect(showWithUncertainty(24.666667 * 0.45359237, 0.7 * 0.45359237, 'lb')).toEqual({
      number: '24.7',
      band: '0.7',
      unit: 'lb',
    });
    expect(showWithUncertainty(11.2345, 0.1449, 'kg')).toEqual({ number: '11.23', band: '0.14', unit: 'kg' });
    expect(showWithUncertainty(687.4, 31, 'm2')).toEqual({ number: '690', band: '30', unit: 'm²' });
  });

  it('reads back what it shows, at the figures shown', () => {
    fc.assert(
      fc.property(fc.constantFrom(...UNIT_IDS), fc.double({ min: 1e-7, max: 1e9, noNaN: true }), fc.integer({ min: 2, max: 9 }), (unit, number, figures) => {
        const shown = showQuantity(toSi(number, unit), unit, figures);
        const back = read(`${shown.number} ${shown.unit}`, UNITS[unit].kind);
        expect(showQuantity(back.si, unit, figures)).toEqual(shown);
        expect(Math.abs(fromSi(back.si, unit) - number)).toBeLessThanOrEqual(number * 0.5 * 10 ** (1 - figures) * 1.001 + 1e-12);
      }),
      { seed: 4102, numRuns: 3000 },
    );
  }); // prettier-ignore
});

describe('the step that a reading was taken to', () => {
  it.each([
    ['10', 'mass', 'lb', 1], ['7.5', 'mass', 'lb', 0.1], ['7.50 lb', 'mass', 'lb', 0.01], ['840.0 ft2', 'area', 'ft2', 0.1], ['840', 'area', 'ft2', 1],
    ['1,600', 'area', 'ft2', 1], ['3 lb 4 oz', 'mass', 'oz', 1], ['3 lb 4.5 oz', 'mass', 'oz', 0.1],
  ] as const)('%s', (input, kind, unit, step) => {
    const { resolutionSi } = read(input, kind, unit);
    expect(fromSi(resolutionSi, unit)).toBeCloseTo(step, 9);
  }); // prettier-ignore
  it('is of the unit it is typed in, not of the one that the field shows', () => {
    const { resolutionSi } = read('92 m2', 'area', 'ft2');
    expect(resolutionSi).toBeCloseTo(1, 9);
  });
});
