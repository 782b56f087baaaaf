import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { groundArea, inset, liesWithin, piecesOf, type Ground, type Point } from '../ground/index.ts';
import {
  fillsOnWalk,
  groundBlocks,
  placeTowards,
  planPasses,
  sketchOf,
  walkTime,
  windTowards,
  type PassRequest,
} from './index.ts';

const box = (x: number, y: number, wide: number, high: number): Point[] => [
  { x, y },
  { x: x + wide, y },
  { x: x + wide, y: y + high },
  { x, y: y + high },
];
const hole = (...of: Parameters<typeof box>): Point[] => box(...of).toReversed();
const L: Ground = [[{ x: 0, y: 0 }, { x: 30, y: 0 }, { x: 30, y: 10 }, { x: 20, y: 10 }, { x: 20, y: 40 }, { x: 0, y: 40 }]]; // prettier-ignore
const TRIANGLE: Ground = [
  [
    { x: 0, y: 0 },
    { x: 24, y: 0 },
    { x: 0, y: 36 },
  ],
];

const request = (ground: Ground, more: Partial<PassRequest> = {}): PassRequest => ({
  ground,
  spacingM: 3,
  trim: { rounds: 0, stripM: 1.5, pathM: 0.75, edgeOn: 'right' },
  heading: 0,
  last: 'even',
  directions: 1,
  refillAt: null,
  ...more,
});
const ONE_TRIM = { rounds: 1, stripM: 1.5, pathM: 0.75, edgeOn: 'right' } as const;
const fed = ({ legs }: ReturnType<typeof planPasses>, zone?: string) =>
  legs.filter((leg) => !zone || leg.zone === zone).reduce((sum, { lengthM }) => sum + lengthM, 0);

describe('passes counted by hand', () => {
  it('a rectangle of 20 x 40 m, passes 3 m apart: 7 up and down, 2.857 m each; with a trim 6', () => {
    const plain = planPasses(request([box(0, 0, 20, 40)]));
    expect(plain.passes).toBe(7);
    expect(plain.spacingM).toBeCloseTo(20 / 7, 9);
    expect(fed(plain)).toBeCloseTo(280, 6);
    const trimmed = planPasses(request([box(0, 0, 20, 40)], { trim: ONE_TRIM }));
    // 17 m between the trims: 6 passes of 37 m; the trim is walked 0.75 m inside.
    expect(trimmed.passes).toBe(6);
    expect(fed(trimmed, 'first')).toBeCloseTo(6 * 37, 4);
    expect(fed(trimmed, 'trim')).toBeCloseTo(2 * (18.5 + 38.5), 4);
    expect(trimmed.trimM2).toBeCloseTo(800 - 17 * 37, 4);
  });

  it('an L across its long arm: 10 passes, of which those over the foot alone are 10 m long', () => {
    const plan = planPasses(request(L));
    expect(plan.passes).toBe(10);
    expect(plan.legs.map(({ lengthM }) => Math.round(lengthM))).toEqual([
      40, 40, 40, 40, 40, 40, 40, 10, 10, 10,
    ]);
  });

  it('a triangle: passes get shorter as it does', () => {
    const plan = planPasses(request(TRIANGLE));
    expect(plan.passes).toBe(8);
    expect(plan.legs.map(({ lengthM }) => lengthM)).toEqual([1.5, 4.5, 7.5, 10.5, 13.5, 16.5, 19.5, 22.5].map((x) => expect.closeTo(36 * (1 - x / 24), 6))); // prettier-ignore
  });

  it('the last pass overlaps instead where that is asked for', () => {
    const plan = planPasses(request([box(0, 0, 20, 40)], { last: 'overlap' }));
    expect(plan.spacingM).toBe(3);
    expect(plan.pieces[0]!.lanes[0]).toMatchObject({ overlapM: 1, passes: 7 });
    expect(plan.pieces[0]!.lanes[0]!.flags.map(({ atM }) => atM)).toEqual([
      1.5, 4.5, 7.5, 10.5, 13.5, 16.5, 18.5,
    ]);
  });
});

describe('headings', () => {
  it('the fewest passes run along the longer side', () => {
    expect(planPasses(request([box(0, 0, 20, 40)], { heading: 'fewest' })).headingDeg).toBe(0);
    expect(planPasses(request([box(0, 0, 40, 20)], { heading: 'fewest' })).headingDeg).toBe(90);
  });

  it('what lands beside the ground is least along the sides of a leaning one', () => {
    const leaning: Ground = [[{ x: 0, y: 0 }, { x: 10, y: 0 }, { x: 30, y: 20 }, { x: 20, y: 20 }]]; // prettier-ignore
    const along = planPasses(request(leaning, { heading: 'least-off' }));
    expect([45, 90].some((deg) => Math.abs(along.headingDeg - deg) < 1e-6)).toBe(true);
    expect(along.offM2).toBeLessThan(planPasses(request(leaning, { heading: 0 })).offM2);
  });

  it('two directions cross at right angles', () => {
    const plan = planPasses(request([box(0, 0, 20, 40)], { directions: 2 }));
    expect(plan.pieces[0]!.lanes.map(({ headingDeg, passes }) => [headingDeg, passes])).toEqual([[0, 7], [90, 14]]); // prettier-ignore
    expect(fed(plan, 'second')).toBeCloseTo(280, 6);
  });
});

describe('grounds that are not simple', () => {
  const split: Ground = [box(0, 0, 30, 40), hole(-1 + 10, 10, 12, 20)];

  it('a cut-out parts passes; one side is worked off before the other', () => {
    const plan = planPasses(request(split));
    const parted = plan.legs.filter(({ parts }) => parts === 2);
    expect(parted.map(({ number }) => number).toSorted((a, b) => a - b)).toEqual([4, 4, 5, 5, 6, 6, 7, 7]);
    const naive = planPasses(request(split)).legs.length - 1;
    // Between most passes one walks just one spacing.
    expect(plan.legs.filter(({ unfedM }) => unfedM > 6).length).toBeLessThan(naive / 3);
  });

  it('trims go round cut-outs too, with the edge on the side that is asked for', () => {
    const right = planPasses(request(split, { trim: ONE_TRIM }));
    const rounds = right.legs.filter(({ zone }) => zone === 'trim');
    expect(rounds).toHaveLength(2);
    const turn = (line: readonly Point[]) => line.slice(1).reduce((sum, b, index) => sum + line[index]!.x * b.y - b.x * line[index]!.y, 0); // prettier-ignore
    expect(rounds.map(({ line }) => Math.sign(turn(line)))).toEqual([1, -1]);
    const left = planPasses(request(split, { trim: { ...ONE_TRIM, edgeOn: 'left' } }));
    expect(left.legs.filter(({ zone }) => zone === 'trim').map(({ line }) => Math.sign(turn(line)))).toEqual([-1, 1]); // prettier-ignore
  });

  it('islands are walked one after the other', () => {
    const plan = planPasses(request([box(0, 0, 10, 10), box(50, 0, 12, 10)]));
    expect(plan.legs.map(({ piece }) => piece)).toEqual([0, 0, 0, 0, 1, 1, 1, 1]);
    expect(plan.legs[4]!.unfedM).toBeGreaterThan(35);
  });

  it('narrower than one pass: down its middle; too narrow for its trims: one pass without', () => {
    const strip = planPasses(request([box(0, 0, 1.2, 30)], { trim: ONE_TRIM }));
    expect(strip.legs).toMatchObject([{ zone: 'first', lengthM: 30 }]);
    expect(strip.legs[0]!.line[0]!.x).toBeCloseTo(0.6, 9);
    expect(strip.pieces[0]!.isNarrow).toBe(true);
  });

  it('a neck that nothing reaches into is told', () => {
    const bone: Ground = [[{ x: 0, y: 0 }, { x: 20, y: 0 }, { x: 20, y: 9.5 }, { x: 40, y: 9.5 }, { x: 40, y: 0 }, { x: 60, y: 0 }, { x: 60, y: 20 }, { x: 40, y: 20 }, { x: 40, y: 10.5 }, { x: 20, y: 10.5 }, { x: 20, y: 20 }, { x: 0, y: 20 }]]; // prettier-ignore
    const { unreachedM2, areaM2 } = planPasses(request(bone, { trim: ONE_TRIM }));
    expect(unreachedM2 / 20).toBeGreaterThan(0.8);
    expect(unreachedM2 / areaM2).toBeLessThan(0.03);
    expect(planPasses(request([box(0, 0, 20, 40)], { trim: ONE_TRIM })).unreachedM2).toBeLessThan(0.1);
  });

  it('a concave edge of 400 corners', () => {
    const star = Array.from({ length: 400 }, (_, index) => {
      const r = index % 2 === 0 ? 50 : 42;
      return { x: r * Math.cos((index * Math.PI) / 200), y: r * Math.sin((index * Math.PI) / 200) };
    });
    const plan = planPasses(request([star], { trim: ONE_TRIM, heading: 'fewest' }));
    expect(plan.passes).toBeGreaterThan(25);
    expect(plan.trimM2).toBeGreaterThan(0);
  });

  it.each([
    ['no ground', request([]), 'passes.no-ground'],
    ['a spacing of 0', request(L, { spacingM: 0 }), 'number.unusable'],
    ['passes without end', request(L, { spacingM: 1e-4 }), 'passes.too-many'],
    ['half a trim', request(L, { trim: { ...ONE_TRIM, rounds: 0.5 } }), 'passes.trims'],
  ])('%s is refused', (_, asked, code) => {
    expect(() => planPasses(asked)).toThrow(expect.objectContaining({ code }));
  });
});

const rectangle = fc.record({
  wide: fc.double({ min: 6, max: 80, noNaN: true }),
  high: fc.double({ min: 6, max: 80, noNaN: true }),
  turn: fc.double({ min: 0, max: 180, noNaN: true }),
  spacingM: fc.double({ min: 1, max: 6, noNaN: true }),
});

it('whatever the rectangle and its turn: passes along it cover it once, and stay on it', () => {
  fc.assert(
    fc.property(rectangle, ({ wide, high, turn, spacingM }) => {
      const [sin, cos] = [Math.sin((turn * Math.PI) / 180), Math.cos((turn * Math.PI) / 180)];
      const ground = [
        box(0, 0, wide, high).map(({ x, y }) => ({ x: x * cos + y * sin, y: y * cos - x * sin })),
      ];
      const plan = planPasses(request(ground, { heading: turn, spacingM }));
      expect(plan.passes).toBe(Math.ceil(wide / spacingM - 1e-6));
      const step = wide / plan.passes;
      expect(fed(plan) * step).toBeCloseTo(wide * high, 4);
      const wider = inset(ground, -1e-3)[0]!;
      for (const { line } of plan.legs) for (const point of line) expect(liesWithin(wider, point)).toBe(true);
    }),
    { numRuns: 60, seed: 19 },
  );
});

describe('fills', () => {
  const plan = planPasses(request(sketchOf(2780, 55.6), { spacingM: 5 }));

  it('case S: 41.7 kg out of a 16 kg hopper at 15 g/m2, 5 m apart', () => {
    const fills = fillsOnWalk(plan.legs, () => 0.015 * 5, 16);
    expect(41.7 / 16).toBeCloseTo(2.60625, 9);
    expect(fills).toHaveLength(3);
    expect(fills[0]!.metres).toBeCloseTo(213.333333, 5);
    expect(fills.reduce((sum, { amountSi }) => sum + amountSi, 0)).toBeCloseTo(41.7, 6);
    // 213.333 m are three passes of 55.6 m and 46.533 m of the fourth.
    expect(fills[0]!.end).toMatchObject({ leg: 3, walkedM: expect.closeTo(46.5333, 3), leftM: expect.closeTo(9.0667, 3) }); // prettier-ignore
    expect(fills[0]!.end!.point.x).toBeCloseTo(17.5, 6);
  });

  it('a hopper smaller than a pass runs out several times on it', () => {
    const fills = fillsOnWalk(plan.legs, () => 0.075, 1);
    expect(fills[0]!.end!.leg).toBe(0);
    expect(fills[2]!.end!.leg).toBe(0);
    expect(fills).toHaveLength(42);
  });

  it('more than anybody fills is refused', () => {
    expect(() => fillsOnWalk(plan.legs, () => 0.075, 1e-3)).toThrow(expect.objectContaining({ code: 'passes.too-many-fills' })); // prettier-ignore
    expect(() => fillsOnWalk(plan.legs, () => 0.075, 0)).toThrow(expect.objectContaining({ code: 'number.unusable' })); // prettier-ignore
  });

  it('whatever the hopper: fills add up to what the walk takes', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 60, noNaN: true }), (usable) => {
        const fills = fillsOnWalk(plan.legs, ({ number }) => 0.05 + 0.001 * number, usable);
        const whole = plan.legs.reduce((sum, leg) => sum + leg.lengthM * (0.05 + 0.001 * leg.number), 0);
        expect(fills.reduce((sum, { amountSi }) => sum + amountSi, 0)).toBeCloseTo(whole, 6);
        expect(fills.reduce((sum, { metres }) => sum + metres, 0)).toBeCloseTo(fed(plan), 6);
      }),
      { numRuns: 40, seed: 7 },
    );
  });

  it('time: ways over pace, turns, refills', () => {
    const fills = fillsOnWalk(plan.legs, () => 0.075, 16);
    const time = walkTime(plan.legs, fills, {
      paceMPerS: 1.39,
      turnS: 5,
      refillS: 180,
      refillAt: { x: 0, y: 0 },
    });
    expect(time).toMatchObject({ turns: 9, refills: 2, openM: expect.closeTo(556, 6), unfedM: expect.closeTo(45, 6) }); // prettier-ignore
    const away = 2 * (Math.hypot(17.5, 55.6 - 46.5333) + Math.hypot(37.5, fills[1]!.end!.point.y));
    expect(time.refillM).toBeCloseTo(away, 2);
    expect(time.walkedM).toBeCloseTo(556 + 45 + away, 2);
    expect(time.seconds).toBeCloseTo((556 + 45 + away) / 1.39 + 45 + 360, 1);
  });
});

describe('blocks', () => {
  it('a rectangle in blocks near the size asked for, which add up to it', () => {
    const plan = planPasses(request([box(0, 0, 20, 40)]));
    const blocks = groundBlocks(plan.pieces, 0, 93, 3);
    expect(blocks.map(({ number }) => number)).toEqual(blocks.map((_, index) => index + 1));
    expect(blocks.reduce((sum, { areaM2 }) => sum + areaM2, 0)).toBeCloseTo(800, 4);
    for (const { areaM2 } of blocks) expect(Math.abs(areaM2 / 93 - 1)).toBeLessThan(0.35);
  });

  it('slivers go with their neighbours', () => {
    const plan = planPasses(request(TRIANGLE));
    const blocks = groundBlocks(plan.pieces, 0, 60, 3);
    expect(blocks.reduce((sum, { areaM2 }) => sum + areaM2, 0)).toBeCloseTo(groundArea(TRIANGLE), 4);
    for (const { areaM2 } of blocks) expect(areaM2).toBeGreaterThan(15);
  });

  it('too small to be marked out is refused', () => {
    const plan = planPasses(request([box(0, 0, 200, 400)]));
    expect(() => groundBlocks(plan.pieces, 0, 1, 3)).toThrow(expect.objectContaining({ code: 'passes.too-many-blocks' })); // prettier-ignore
  });
});

describe('where things lie', () => {
  it('pieces keep the holes that lie in them', () => {
    const ground = [box(0, 0, 10, 10), box(20, 0, 10, 10), hole(22, 2, 3, 3)];
    expect(piecesOf(ground).map((piece) => piece.length)).toEqual([1, 2]);
  });

  it.each([['n', 5, 10], ['e', 10, 5], ['s', 5, 0], ['sw', 0, 0], ['ne', 10, 10]] as const)('towards %s of a square', (wind, x, y) => {
    const at = placeTowards([box(0, 0, 10, 10)], wind);
    expect(at.x).toBeCloseTo(x, 9);
    expect(at.y).toBeCloseTo(y, 9);
  }); // prettier-ignore

  it('an end of a pass has the name of the wind it looks to', () => {
    expect(windTowards({ x: 3, y: 3 }, { x: 0, y: 0 })).toBe('sw');
    expect(windTowards({ x: 0, y: 0 }, { x: 5, y: 1 })).toBe('e');
  });

  it('ground nobody drew is a rectangle of its size', () => {
    expect(groundArea(sketchOf(200, 20))).toBeCloseTo(200, 9);
    expect(groundArea(sketchOf(200, null))).toBeCloseTo(200, 9);
  });
});
