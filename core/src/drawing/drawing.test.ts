import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankPart, evaluatePaces, blankPace, evaluatePart, type ShapeKind } from '../ground/index.ts';
import { middleOf } from '../numeric/index.ts';
import { againstWanted, barsOf, curveOf, dimensionsOf, heightOf, niceStep } from './index.ts';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('dimensions written on a part', () => {
  const paces = evaluatePaces(blankPace('m'), 'pace');
  const drawn = (kind: ShapeKind, lengths: readonly string[], turn = 0) => {
    const part = { ...blankPart(kind, 'm', 'p'), lengths, at: { x: 0, y: 0, turn } };
    return dimensionsOf(part, evaluatePart(part, paces, 'p').outlines[0] ?? [], 'm').map(({ text, isSteep }) => `${text}${isSteep ? ' up' : ''}`); // prettier-ignore
  };
  it('are the sides that were measured, and across what is round', () => {
    expect(drawn('rectangle', ['20', '10'])).toEqual(['20 m', '10 m up']);
    expect(drawn('circle', ['10'])).toEqual([expect.stringMatching(/^(?:10|20) m wide$/)]);
    expect(drawn('triangle', ['20', '10'])).toEqual(['20 m', '10 m high']);
  });
  it('leave a height out once the part is turned: it does not stand up any more', () =>
    expect(drawn('triangle', ['20', '10'], 90)).toHaveLength(1));
  it('of nothing there are none, and surveyed edges with many corners have none', () => {
    const part = blankPart('circle', 'm', 'p');
    expect(dimensionsOf(part, [], 'm')).toEqual([]);
    const edge = Array.from({ length: 40 }, (_, index) => ({
      x: Math.cos(index / 6.4),
      y: Math.sin(index / 6.4),
    }));
    const boundary = { id: 'b', kind: 'boundary', cut: false, outlines: [], from: '', off: '', unit: 'm', at: { x: 0, y: 0, turn: 0 } } as never; // prettier-ignore
    expect(dimensionsOf(boundary, edge, 'm')).toEqual([]);
    expect(dimensionsOf(boundary, edge.slice(0, 3), 'm')).toHaveLength(3);
  });
});

describe('marks', () => {
  it('a step is 1, 2 or 5 times a power of ten, and not too many of it', () => {
    fc.assert(
      fc.property(number(1e-6, 1e6), (most) => {
        const step = niceStep(most, 60);
        expect([1, 2, 5, 10]).toContain(Math.round(step / 10 ** Math.floor(Math.log10(step) + 1e-9)));
        expect(most / step).toBeLessThanOrEqual(60 * (1 + 1e-9));
        expect(most / step).toBeGreaterThan(20);
      }),
    );
    expect([0.9, 37, 130, 61].map((most) => niceStep(most, 60))).toEqual([0.02, 1, 5, 2]);
  });
  it('a value against the wanted one stays on the line, the wanted one never beyond its middle', () => {
    const banded = (least: number) => fc.record({ y: number(least, 100), band: number(0, 20) });
    fc.assert(
      fc.property(banded(0), banded(0.1), (value, wanted) => {
        const { value: at, wanted: of } = againstWanted(value, wanted);
        for (const place of [at.from, at.at, at.to, of.from, of.at, of.to]) {
          expect(place).toBeGreaterThanOrEqual(0);
          expect(place).toBeLessThanOrEqual(1);
        }
        expect(of.at).toBeLessThanOrEqual(0.5 + 1e-9);
        expect(at.at < of.at).toBe(value.y / wanted.y < 1 && at.at !== of.at);
      }),
    );
    expect(againstWanted({ y: 0, band: 0 }, { y: 0, band: 0 }).value.at).toBe(0);
  });
  it('bars stand beside each other, the highest as high as the picture', () => {
    const bars = barsOf([2, 4, 0], { wide: 90, high: 50, gap: 6 });
    expect(bars.map(({ x, width }) => x + width)).toEqual([27, 57, 87]);
    expect(bars.map(({ height }) => height)).toEqual([25, 50, 0]);
    expect(barsOf([0, 0], { wide: 90, high: 50, gap: 6 }).every(({ height }) => height === 0)).toBe(true);
  });
  it('a curve goes from side to side, thinned, and not out of the picture', () => {
    const curve = curveOf([0, 0.1, 0.2, 0.9], { wide: 300, high: 100, most: 0.4, every: 1 });
    expect(curve.map(({ x }) => x)).toEqual([0, 100, 200, 300]);
    expect(curve.map(({ y }) => Math.round(y))).toEqual([100, 75, 50, 0]);
    expect(curveOf([0, 0.1, 0.2, 0.9], { wide: 300, high: 100, most: 0.4, every: 2 })).toHaveLength(2);
    expect(curveOf([0.1], { wide: 300, high: 100, most: 0.4, every: 1 })).toEqual([{ x: 0, y: 75 }]);
    expect(heightOf(2, 1, 10)).toBe(0);
  });
});

it('the middle one of some values', () => {
  expect(middleOf([])).toBeNull();
  expect(middleOf([4, 1, 3, 2])).toBe(3);
  fc.assert(
    fc.property(fc.array(number(0, 10), { minLength: 1 }), (values) => {
      const middle = middleOf(values)!;
      expect(values.filter((value) => value < middle).length).toBeLessThanOrEqual(values.length / 2);
      expect(values.filter((value) => value > middle).length).toBeLessThanOrEqual(values.length / 2);
    }),
  );
});
