import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  blankPace,
  blankPart,
  boundsOf,
  measureArea,
  outlineArea,
  evaluatePaces,
  rowLength,
  SHAPE_KINDS,
  type PacesResult,
  type PartInput,
  type ShapeInput,
  type ShapeKind,
} from './index.ts';
import { placed, type Point } from './outline.ts';
import { shapeOf } from './shapes.ts';

const FT = 0.3048;
const noPace = evaluatePaces(blankPace('m'), 'pace');
const part = (kind: ShapeKind, lengths: (string | number)[], more: Partial<ShapeInput> = {}): PartInput => ({
  ...blankPart(kind, 'ft', `${kind}-${lengths.join()}`),
  lengths: lengths.map(String),
  ...more,
});
const sum = (parts: PartInput[], paces: PacesResult = noPace) => measureArea(parts, 'sum', paces);
const CUT = { cut: true };
const METRES = { unit: 'm' as const };
const near = (value: number | null, printed: number, digits = 6) =>
  expect(Math.abs((value ?? NaN) - printed)).toBeLessThanOrEqual(0.5000001 * 10 ** -digits);

describe('reference case E', () => {
  it('a sum sheet with a circle and a rectangle cut out', () => {
    const sheet = sum([part('rectangle', [62, 38]), part('triangle', [20, 14]), part('circle', [6], CUT), part('rectangle', [12, 8], CUT)]); // prettier-ignore
    near(sheet.areaM2! / FT ** 2, 2286.902664);
  });
  it('offsets from a baseline', () =>
    near(sum([part('offsets', [10, 0, 14, 19, 22, 21, 15, 4])]).areaM2! / FT ** 2, 930));
  it('four sides and a diagonal', () =>
    near(sum([part('four-sides', [20, 15, 18, 16, 24], METRES)]).areaM2, 293.495483));
  it('paces', () => {
    const paces = evaluatePaces({ ...blankPace('m'), line: '82', walks: ['100'] }, 'pace');
    near(sum([part('rectangle', [41, 23], { by: 'paces' })], paces).areaM2, 634.0732, 4);
    near(sum([part('rectangle', ['41 paces', '23 p'])], paces).areaM2, 634.0732, 4);
  });
});

/** Sensible dimensions for each kind of shape, with the area worked out another way. */
const EXAMPLES: readonly [ShapeKind, number[], number][] = [
  ['rectangle', [12, 7], 84],
  ['triangle', [10, 6], 30],
  ['three-sides', [3, 4, 5], 6],
  ['trapezoid', [8, 4, 5], 30],
  ['circle', [5], 78.5398163397],
  ['half-circle', [5], 39.2699081699],
  ['ellipse', [10, 6], 47.1238898038],
  ['ring', [5, 3], 50.2654824574],
  ['four-sides', [3, 4, 3, 4, 5], 12],
  ['offsets', [2, 1, 3, 2, 4], 15],
  ['walk', [10, 90, 6, 90, 10, 90, 6, 90], 60],
  ['polygon', [0, 0, 10, 0, 10, 4, 4, 4, 4, 9, 0, 9], 60],
  ['known', [210], 210],
];

it('has an example of each shape', () =>
  expect(EXAMPLES.map(([kind]) => kind).toSorted()).toEqual(SHAPE_KINDS.toSorted()));

it.each(EXAMPLES)('%s of %j: the area, and the drawing of it, agree', (kind, lengths, area) => {
  const { areaM2, parts } = sum([part(kind, lengths, METRES)]);
  expect(areaM2).toBeCloseTo(area, 8);
  const [edge, ...holes] = parts[0]!.outlines;
  const drawn = outlineArea(edge!) - holes.reduce((inner, hole) => inner + outlineArea(hole), 0);
  expect(Math.abs(drawn / area - 1)).toBeLessThan(1e-9);
});

describe('what cannot be says why, and is drawn where it can be', () => {
  it.each<[string, PartInput, string]>([
    ['a triangle that does not close', part('three-sides', [3, 4, 9]), 'shape.triangle'],
    ['a diagonal longer than two sides', part('four-sides', [20, 15, 18, 16, 40]), 'shape.triangle'],
    ['a ring inside out', part('ring', [3, 5]), 'shape.ring'],
    ['one offset', part('offsets', [10, 4]), 'shape.too-few'],
    ['a walk that ends elsewhere', part('walk', [10, 90, 6, 90, 10, 90, 2, 90]), 'shape.open'],
    ['an edge that crosses itself', part('polygon', [0, 0, 10, 10, 10, 0, 0, 10]), 'shape.crosses'],
    [
      'an edge that passes through one of its corners',
      part('polygon', [0, 0, 10, 0, 10, 5, 5, 0, 5, -5, 0, -5]),
      'shape.crosses',
    ],
    ['a negative side', part('rectangle', [-3, 4]), 'quantity.not-positive'],
    ['paces of nobody', part('rectangle', ['41 p', 23]), 'pace.unknown'],
    ['corners on one line', part('polygon', [0, 0, 5, 0, 9, 0]), 'shape.flat'],
    [
      'an estimate within nothing',
      part('circle', [5], { by: 'estimate', within: '0' }),
      'percent.unreadable',
    ],
    ['words', part('rectangle', ['wide', 4]), 'quantity.unreadable'],
  ])('%s', (_, wrong, code) => {
    const sheet = sum([part('rectangle', [62, 38]), wrong]);
    expect(sheet.parts[1]!.errors.map((error) => [error.code, error.field.startsWith('parts.1')])).toEqual([
      [code, true],
    ]);
    expect(sheet.areaM2).toBeNull();
  });

  it('a crossed outline can be drawn, a triangle that does not close too', () => {
    expect(sum([part('polygon', [0, 0, 10, 10, 10, 0, 0, 10])]).parts[0]!.outlines[0]).toHaveLength(4);
    expect(sum([part('three-sides', [3, 4, 9])]).parts[0]!.outlines[0]).toHaveLength(3);
  });

  it('waits for what is not typed yet, without an error, and refuses to be less than nothing', () => {
    const open = sum([part('rectangle', [62, ''])]);
    expect([open.areaM2, open.parts[0]!.errors]).toEqual([null, []]);
    expect(sum([part('rectangle', [2, 2]), part('rectangle', [9, 9], CUT)]).areaM2).toBeNull();
    expect(sum([]).areaM2).toBeNull();
  });

  it('a walk that nearly closes is closed, the rest spread over its sides', () => {
    const walk = [10, 90, 6, 90, 10.2, 90, 6, 90];
    expect(sum([part('walk', walk, METRES)]).areaM2).toBeCloseTo(60.6, 1);
  });
});

describe('how sure an area is', () => {
  it('readings carry half their last digit, and combine by the derivative of the area', () => {
    const { areaM2, bandM2 } = sum([part('rectangle', ['60 ft', '9.0 ft'])]);
    const relative = (2 * Math.hypot(1 / 60, 0.1 / 9)) / Math.sqrt(12);
    expect(bandM2 / areaM2!).toBeCloseTo(relative, 9);
    expect(sum([part('rectangle', ["62' 6\"", '9.0 ft'])]).bandM2 / (62.5 * 9 * FT ** 2)).toBeCloseTo(2 * Math.hypot(1 / 12 / 62.5, 0.1 / 9) / Math.sqrt(12), 9); // prettier-ignore
  });

  it('a pace that two sides share counts twice in the area, not by the root of two', () => {
    const walks = ['61', '62', '60'];
    const paces = evaluatePaces({ ...blankPace('m'), line: '50', walks }, 'pace');
    const { pace } = paces;
    expect(pace!.paceM).toBeCloseTo(50 / 61, 12);
    expect(pace!.scatter).toBeCloseTo(1 / 61, 12);
    const { areaM2, bandM2 } = sum([part('rectangle', [41, 23], { by: 'paces' })], paces);
    const counted = Math.hypot(1 / 41, 1 / 23) / Math.sqrt(12);
    expect(bandM2 / areaM2!).toBeCloseTo(2 * Math.hypot(counted, 2 * pace!.uRelative), 9);
  });

  it('an estimate carries its own band, and a wheel its factor', () => {
    const estimated = sum([part('circle', [5], { by: 'estimate', within: '15 %' })]);
    expect(estimated.bandM2 / estimated.areaM2!).toBeCloseTo(0.15, 12);
    expect(sum([part('circle', [5], { by: 'estimate' })]).bandM2 / sum([part('circle', [5])]).areaM2!).toBeCloseTo(0.2, 12); // prettier-ignore
    const wheel = evaluatePaces({ ...blankPace('m'), line: '50', wheel: '49.5' }, 'pace');
    expect(sum([part('rectangle', [10, 10], { ...METRES, by: 'wheel' })], wheel).areaM2).toBeCloseTo(100 * (50 / 49.5) ** 2, 9); // prettier-ignore
  });

  it('points at what cannot be in a walk of paces', () => {
    const { errors } = evaluatePaces(
      { ...blankPace('m'), line: '0', walks: ['61', 'x', '-2'], wheel: '' },
      'pace',
    );
    expect(errors.map(({ field }) => field)).toEqual(['pace.line', 'pace.walks.1', 'pace.walks.2']);
  });
});

const lengths = fc.double({ min: 0.5, max: 80, noNaN: true });
const at = fc.record({
  x: fc.double({ min: -60, max: 60, noNaN: true }),
  y: fc.double({ min: -60, max: 60, noNaN: true }),
  turn: fc.double({ min: 0, max: 360, noNaN: true }),
});
const anyPart = fc
  .record({ kind: fc.constantFrom('rectangle', 'triangle', 'trapezoid', 'circle', 'half-circle', 'ellipse'), a: lengths, b: lengths, c: lengths, cut: fc.boolean(), at })
  .map(({ kind, a, b, c, cut, at: place }) => part(kind as ShapeKind, [a, b, c].slice(0, shapeOf(kind as ShapeKind).dimensions.length).map((n) => n.toFixed(3)), { ...METRES, cut, at: place })); // prettier-ignore

describe('placed on a plan', () => {
  const drawn = (parts: PartInput[]) => measureArea(parts, 'placed', noPace);
  const square = (x: number, y: number, side: number, more: Partial<ShapeInput> = {}) =>
    part('rectangle', [side, side], { ...METRES, at: { x, y, turn: 0 }, ...more });

  it('counts an overlap once, and cuts only what is there', () => {
    expect(drawn([square(0, 0, 10), square(5, 5, 10)])).toMatchObject({ areaM2: expect.closeTo(175, 9), clipped: true });
    expect(drawn([square(0, 0, 10), square(8, 8, 10, CUT)])).toMatchObject({ areaM2: expect.closeTo(96, 9), clipped: true });
    expect(drawn([square(0, 0, 10), square(2, 2, 3, CUT), square(10, 0, 5)])).toMatchObject({ areaM2: 116, clipped: false });
  }); // prettier-ignore

  it('two circles over each other, as the circular segments say, within 1e-4', () => {
    for (let apart = 0.37; apart < 10; apart += 0.61) {
      const circles = [0, apart].map((x) =>
        part('circle', [5], { ...METRES, at: { x, y: 0.3 * x, turn: 17 } }),
      );
      const far = Math.hypot(apart, 0.3 * apart);
      const lens = far >= 10 ? 0 : 50 * Math.acos(far / 10) - (far / 2) * Math.sqrt(100 - far * far);
      expect(Math.abs(drawn(circles).areaM2! / (50 * Math.PI - lens) - 1)).toBeLessThan(1e-4);
      const cut = drawn([circles[0]!, { ...circles[1]!, cut: true }]).areaM2!;
      expect(Math.abs(cut / (25 * Math.PI - lens) - 1)).toBeLessThan(far > 1 ? 1e-4 : 1e-3);
    }
  });
  it('is analytic where nothing overlaps, and within 1e-4 where curves are clipped', () => {
    const bed = part('circle', [2], { ...METRES, cut: true, at: { x: 5, y: 5, turn: 0 } });
    expect(drawn([square(0, 0, 10), bed]).areaM2).toBe(100 - 4 * Math.PI);
    const half = { ...bed, at: { x: 10, y: 5, turn: 0 } };
    expect(Math.abs(drawn([square(0, 0, 10), half]).areaM2! / (100 - 2 * Math.PI) - 1)).toBeLessThan(1e-4);
  });

  it('keeps its area when everything is moved and turned together', () => {
    fc.assert(
      fc.property(fc.array(anyPart, { minLength: 1, maxLength: 5 }), at, (parts, move) => {
        const before = drawn(parts).areaM2;
        const moved = parts.map((one) => {
          const [to] = placed([one.at], move, (move.turn * Math.PI) / 180) as [Point];
          return { ...one, at: { ...to, turn: one.at.turn + move.turn } };
        });
        const after = drawn(moved).areaM2;
        expect(after === null).toBe(before === null);
        if (before !== null) expect(Math.abs(after! / before - 1)).toBeLessThan(1e-6);
      }),
      { seed: 5201, numRuns: 150 },
    );
  });

  it('agrees with counting the points of a grid', () => {
    const inside = ({ x, y }: Point, outline: readonly Point[]) => {
      let odd = false;
      outline.forEach((a, i) => {
        const b = outline[(i + 1) % outline.length]!;
        if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) odd = !odd;
      });
      return odd;
    };
    fc.assert(
      fc.property(fc.array(anyPart, { minLength: 2, maxLength: 4 }), (parts) => {
        const sheet = drawn(parts);
        const box = boundsOf(sheet.parts.flatMap(({ outlines }) => outlines.flat()))!;
        const steps = 160;
        const cell = { x: (box.maxX - box.minX) / steps, y: (box.maxY - box.minY) / steps };
        let count = 0;
        for (let i = 0; i < steps * steps; i++) {
          const point = { x: box.minX + ((i % steps) + 0.5) * cell.x, y: box.minY + (Math.floor(i / steps) + 0.5) * cell.y }; // prettier-ignore
          const covers = (cut: boolean) =>
            sheet.parts.some((one) => one.cut === cut && inside(point, one.outlines[0]!));
          if (covers(false) && !covers(true)) count += 1;
        }
        const counted = count * cell.x * cell.y;
        const all = (box.maxX - box.minX) * (box.maxY - box.minY);
        expect(Math.abs((sheet.areaM2 ?? 0) - counted)).toBeLessThan(0.01 * all);
      }),
      { seed: 77, numRuns: 40 },
    );
  });
});

it('rows: length from the spacing', () => {
  expect(rowLength(10_000, 1.5)).toBeCloseTo(6666.666667, 6);
});
