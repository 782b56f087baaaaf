import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  blankRig,
  blankScale,
  rigUpgrades,
  readMark,
  evaluateRig,
  evaluateScale,
  readWidth,
} from './index.ts';
import { upgraded } from '../fields/index.ts';

const scales = fc.record({ from: fc.integer({ min: -5, max: 20 }), count: fc.integer({ min: 2, max: 80 }), step: fc.constantFrom(0.1, 0.25, 0.5, 1, 2), closedAt: fc.double({ min: 0, max: 1, noNaN: true }) }); // prettier-ignore

describe('any scale of numbers', () => {
  it('opens from its closed mark on, and each mark is found again by its name', () =>
    fc.assert(fc.property(scales, ({ from, count, step, closedAt }) => {
      const to = Math.round((from + (count - 1) * step) * 1e6) / 1e6;
      const labels = evaluateScale({ ...blankScale(), from: String(from), to: String(to), step: String(step) }, 'control').marks.map(({ label }) => label); // prettier-ignore
      expect(labels).toHaveLength(count);
      // Shut at one of its ends or anywhere between.
      const closed = labels[Math.min(count - 1, Math.floor(closedAt * count))]!;
      const read = evaluateScale({ ...blankScale(), from: String(from), to: String(to), step: String(step), closed }, 'control'); // prettier-ignore
      expect(read.errors).toEqual([]);
      expect(read.marks[0]).toEqual({ label: closed, opening: 0 });
      read.marks.slice(1).forEach(({ opening }, index) => expect(opening).toBeGreaterThan(read.marks[index]!.opening));
      for (const mark of read.marks) expect(readMark(mark.label, read, 'setting')).toEqual(mark);
    }))); // prettier-ignore
});

describe('widths of rows', () => {
  it('a length of row on an area is the inverse of its spacing', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 5, noNaN: true }), (spacingM) => {
        const perHa = 1e4 / spacingM;
        expect(readWidth({ text: `${perHa} m/ha`, unit: 'm', by: 'chosen' }, 'width').si).toBeCloseTo(spacingM, 9); // prettier-ignore
      }),
    ));
  it('in feet on an acre: 8712 ft are rows 5 ft apart', () =>
    expect(readWidth({ text: '8712 ft/acre', unit: 'ft', by: 'chosen' }, 'width').si).toBeCloseTo(5 * 0.3048, 9)); // prettier-ignore
  it('what is measured by tape has the step of its last digit, what is chosen has none', () => {
    expect(readWidth({ text: '9', unit: 'ft', by: 'measured' }, 'width').resolutionSi).toBeCloseTo(
      0.3048,
      12,
    );
    expect(readWidth({ text: '9', unit: 'ft', by: 'chosen' }, 'width').resolutionSi).toBe(0);
    expect(() => readWidth({ text: '0 m/ha', unit: 'm', by: 'chosen' }, 'width')).toThrow(
      'quantity.not-positive',
    );
  });
});

describe('a machine with more than a gate', () => {
  it('a second control, and outlets, each with their errors', () => {
    const truck = { ...blankRig('us'), name: 'Truck', second: { ...blankScale(), name: 'spinner', from: '1', to: '5' }, outlets: { count: '2', feeds: 'own-rows' as const } }; // prettier-ignore
    expect(evaluateRig(truck)).toMatchObject({ outlets: 2, errors: [] });
    expect(evaluateRig(truck).second.marks.map(({ label }) => label)).toEqual(['1', '2', '3', '4', '5']);
    expect(evaluateRig({ ...truck, outlets: { ...truck.outlets, count: '13' } }).errors).toMatchObject([{ field: 'outlets.count', code: 'count.whole' }]); // prettier-ignore
    expect(evaluateRig({ ...truck, second: { ...truck.second, to: '0' } }).errors).toMatchObject([{ field: 'second.to', code: 'scale.numbers' }]); // prettier-ignore
  });
  it('one of an earlier version is completed, its second control becomes a scale of one mark', () => {
    const old = upgraded(rigUpgrades, 1, { name: 'Old', second: { name: 'spinner', setting: '3' } });
    expect(old['second']).toMatchObject({ name: 'spinner', style: 'own', own: '3' });
    expect(old['outlets']).toEqual({ count: '', feeds: 'own-rows' });
    expect(upgraded(rigUpgrades, 1, old)).toEqual(old);
  });
});
