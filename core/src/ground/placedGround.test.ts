import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { around, difference, groundArea, groundOf, inset, intersection, joined, union } from './clip.ts';
import { blankPace, measureArea, evaluatePaces, type BoundaryInput, type Point } from './index.ts';

const noPace = evaluatePaces(blankPace('m'), 'pace');

/** A ring of ground with a rugged edge, from a seed. */
function rugged(points: number, at: Point, seed: number, radius = 60): BoundaryInput {
  let state = seed;
  const share = () => (state = (state * 1_103_515_245 + 12_345) % 2 ** 31) / 2 ** 31;
  const outline = Array.from({ length: points }, (_, step): [number, number] => {
    const turn = (2 * Math.PI * step) / points;
    const far = radius * (1 + 0.6 * share());
    return [at.x + far * Math.cos(turn), at.y + far * Math.sin(turn)];
  });
  return { id: `r${seed}`, kind: 'boundary', cut: false, outlines: [outline], from: '', off: '', unit: 'm', at: { x: 0, y: 0, turn: 0 } }; // prettier-ignore
}
const ringOf = (part: BoundaryInput) =>
  groundOf(part.outlines.map((line) => line.map(([x, y]) => ({ x, y }))));

describe('placed ground', () => {
  it('is the same whether parts that lie elsewhere are looked at together or not', () => {
    const spot = fc.record({ x: fc.integer({ min: -300, max: 300 }), y: fc.integer({ min: -300, max: 300 }), cut: fc.boolean() }); // prettier-ignore
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 6 }), (spots) => {
        const parts = spots.map(({ cut, ...at }, seed) => ({ ...rugged(24, at, seed + 1), cut }));
        const of = (cut: boolean) => parts.filter((part) => part.cut === cut).flatMap(ringOf);
        const whole = groundArea(difference(of(false), of(true)));
        const { ground, clipped, areaM2 } = measureArea(parts, 'placed', noPace);
        expect(Math.abs(groundArea(ground) - whole)).toBeLessThan(1e-6 * (1 + whole));
        // As finely as whole numbers over all that lies together allow.
        if (clipped && areaM2 !== null) expect(Math.abs(areaM2 - whole)).toBeLessThan(1e-6 * (1 + whole));
      }),
      { numRuns: 60 },
    );
  });

  it('that is too tangled to work out is said, and has no size', () => {
    const over = Array.from({ length: 50 }, (_, seed) => rugged(400, { x: seed, y: 0 }, seed + 1));
    const { areaM2, errors } = measureArea(over, 'placed', noPace, 'areas.0.parts');
    expect(areaM2).toBeNull();
    expect(errors).toMatchObject([{ code: 'area.tangled', field: 'areas.0.parts' }]);
    expect(speak(errors[0]!.sentence)).toContain('more than 6000 points');
  });

  it('as large, but each part by itself, is worked out', () => {
    const apart = Array.from({ length: 20 }, (_, seed) => rugged(400, { x: seed * 500, y: 0 }, seed + 1));
    const { areaM2, errors } = measureArea(apart, 'placed', noPace);
    expect(errors).toEqual([]);
    expect(areaM2).toBeCloseTo(
      apart.reduce((sum, part) => sum + groundArea(ringOf(part)), 0),
      4,
    );
  });
});

it('an outline whose corners all lie in one place is no ground: no strip is taken off it, and it joins nothing', () => {
  const spot = { x: 3, y: 4 };
  const square = [
    [0, 0],
    [4, 0],
    [4, 4],
    [0, 4],
  ].map(([x = 0, y = 0]) => ({ x, y }));
  for (const strip of [1, 5e-11, -1]) expect(inset([[spot, spot, spot]], strip)).toEqual([]);
  expect(groundArea(inset([square, [spot, spot, spot]], 1))).toBeCloseTo(4, 6);
  expect(groundArea(joined([square, [spot, spot, spot]], 0.1))).toBeCloseTo(16, 6);
});

describe('ground around a long line', () => {
  const line = rugged(68, { x: 0, y: 0 }, 5).outlines[0]!.map(([x, y]) => ({ x, y }));

  it('is that around each of its sides, all together', () => {
    const bySides = line.slice(1).reduce((all, to, index) => union([...all, ...around([line[index]!, to], 4, false)]), around([line[0]!, line[1]!], 4, false)); // prettier-ignore
    expect(groundArea(around(line, 4, false))).toBeCloseTo(groundArea(bySides), 1);
  });

  it('closes where the line does', () => {
    const [open, closed] = [around(line, 4, false), around(line, 4, true)];
    expect(groundArea(closed)).toBeGreaterThan(groundArea(open));
    expect(groundArea(intersection(open, closed))).toBeCloseTo(groundArea(open), 2);
  });
});
