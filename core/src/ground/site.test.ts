import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  blankEdge,
  blankPart,
  blankRows,
  evaluateRows,
  blankSite,
  blankSiteArea,
  draggedLengths,
  handlesOf,
  layOut,
  evaluatePaces,
  readQuickPart,
  evaluateSite,
  evaluateSiteArea,
  SHAPE_KINDS,
  shapeOf,
  snapMove,
  type EdgeInput,
  type PartInput,
  type ShapeKind,
  type SiteAreaInput,
} from './index.ts';
import { evaluateShape } from './evaluateShape.ts';

const noPace = evaluatePaces(blankSite('a', 'metric').pace, 'pace');
const part = (kind: ShapeKind, lengths: (number | string)[], more: Partial<PartInput> = {}) =>
  ({
    ...blankPart(kind, 'm', `${kind}-${lengths.join()}`),
    lengths: lengths.map(String),
    ...more,
  }) as PartInput;
const area = (more: Partial<SiteAreaInput>): SiteAreaInput => ({ ...blankSiteArea('a', 'metric'), ...more });
const read = (input: SiteAreaInput) => evaluateSiteArea(input, noPace, 'areas.0');
const edge = (more: Partial<EdgeInput>): EdgeInput => ({ ...blankEdge('e', 'm'), buffer: '3', ...more });
const LAWN = part('rectangle', [30, 20]);
const codes = (input: SiteAreaInput) => read(input).errors.map(({ code, field }) => [code, field]);

describe('buffers', () => {
  const heldBack = (edges: EdgeInput[], parts = [LAWN], layoutMode: 'sum' | 'placed' = 'sum') =>
    read(area({ edges, parts, layoutMode })).buffers.areaM2;
  it('along one side, all round, and round a pond', () => {
    expect(heldBack([edge({ along: 'side', from: '1', to: '2' })])).toBeCloseTo(90, 3);
    expect(heldBack([edge({})])).toBeCloseTo(600 - 24 * 14, 3);
    const pond = part('circle', [4], { cut: true, at: { x: 15, y: 10, turn: 0 } });
    const round = heldBack([edge({ along: 'holes' })], [LAWN, pond], 'placed');
    expect(Math.abs(round / (Math.PI * (49 - 16)) - 1)).toBeLessThan(3e-4);
  });
  it('counts what two edges share once, and the treatable ground apart', () => {
    const corner = [edge({ along: 'side', from: '1', to: '2' }), edge({ id: 'f', kind: 'drain', along: 'side', from: '2', to: '3' })]; // prettier-ignore
    // Two strips less the square where they meet; nothing of it lies beyond the corner.
    expect(heldBack(corner)).toBeCloseTo(90 + 60 - 9, 3);
    expect(read(area({ edges: corner, parts: [LAWN] })).treatableM2).toBeCloseTo(600 - 141, 3);
  });
  it('a length of edge holds back its strip, and never more than there is', () => {
    expect(heldBack([edge({ along: 'length', length: '12' })])).toBeCloseTo(36, 9);
    expect(heldBack([edge({ along: 'length', length: '900' })])).toBeCloseTo(600, 9);
  });
  it('agrees with a count of grid points within the distance', () => {
    const ell = part('polygon', [0, 0, 20, 0, 20, 8, 9, 8, 9, 20, 0, 20]);
    const [step, distance] = [0.05, 2.5];
    const corners = [[0, 0], [20, 0], [20, 8], [9, 8], [9, 20], [0, 20]] as const; // prettier-ignore
    const away = (x: number, y: number) =>
      Math.min(
        ...corners.map(([x1, y1], index) => {
          const [x2, y2] = corners[(index + 1) % 6]!;
          const t = Math.max(0, Math.min(1, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / ((x2 - x1) ** 2 + (y2 - y1) ** 2))); // prettier-ignore
          return Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1));
        }),
      );
    let within = 0;
    for (let x = step / 2; x < 20; x += step)
      for (let y = step / 2; y < 20; y += step)
        if (!(x > 9 && y > 8) && away(x, y) < distance) within += step * step;
    expect(Math.abs(heldBack([edge({ buffer: '2.5' })], [ell]) - within)).toBeLessThan(0.5);
  });
  it('says what is missing', () => {
    expect(codes(area({ parts: [LAWN, part('circle', [3])], edges: [edge({})] }))).toEqual([['edge.needs-place', 'areas.0.edges.0.along']]); // prettier-ignore
    expect(codes(area({ parts: [LAWN], edges: [edge({ along: 'side', from: '1', to: '7' })] }))).toEqual([['edge.corner', 'areas.0.edges.0.to']]); // prettier-ignore
    expect(codes(area({ parts: [LAWN], edges: [edge({ along: 'side', part: 'gone' })] }))).toEqual([['edge.no-part', 'areas.0.edges.0.part']]); // prettier-ignore
    expect(codes(area({ parts: [LAWN], edges: [edge({ buffer: '-2' })] }))).toEqual([['quantity.not-positive', 'areas.0.edges.0.buffer']]); // prettier-ignore
    expect(codes(area({ edges: [edge({})] }))).toEqual([]);
  });
});

it('rows in every way that is known', () => {
  const rows = { ...blankRows('m', 'ha'), spacing: '1.5', own: '6600', count: '11', length: '35' };
  const found = read(area({ parts: [LAWN], rows })).rows;
  expect(found.bySpacingM).toBeCloseTo(400, 9);
  expect(found.byOwnM).toBeCloseTo(396, 9);
  expect(found.byCountM).toBeCloseTo(385, 9);
  expect(found.lengthM).toBe(found.byCountM);
});

it.each([
  ['7200 ft per acre', 'acre', 7200 * 0.3048, 4046.8564224],
  ['6600 m/ha', 'acre', 6600, 1e4],
  ['6600 m per hectare', 'ha', 6600, 1e4],
  ['6600', 'ha', 6600, 1e4],
  ['6600½ m', 'ha', 6600.5, 1e4],
] as const)('one’s own figure of row length: %s', (own, per, metres, perM2) => {
  const found = evaluateRows({ ...blankRows('m', per), own }, 600, 'rows');
  expect(found.byOwnM).toBeCloseTo((metres / perM2) * 600, 6);
  expect(found.errors).toEqual([]);
});

it.each(['6600 m per lb', '6600 lb per ha', 'per ha x'])('no figure of row length: %s', (own) => {
  const found = evaluateRows({ ...blankRows('m', 'ha'), own }, 600, 'rows');
  expect(found).toMatchObject({ byOwnM: null, errors: [{ field: 'rows.own' }] });
});

it('a site: totals of what is treated, its place, and errors with their paths', () => {
  const blank = blankSite('a', 'metric');
  const site = { ...blank, name: ' ', place: { lat: '95', lon: '3' }, areas: [area({ parts: [LAWN], edges: [edge({})] }), area({ id: 'b', treated: false, parts: [LAWN] }), area({ id: 'c', parts: [part('three-sides', [3, 4, 9])] })] }; // prettier-ignore
  const { totals, errors } = evaluateSite(site);
  expect(totals).toMatchObject({ areaM2: 600, treatableM2: expect.closeTo(336, 3), heldBackM2: expect.closeTo(264, 3) }); // prettier-ignore
  expect(errors.map(({ code, field }) => [code, field])).toEqual([['name.empty', 'name'], ['place.range', 'place.lat'], ['shape.triangle', 'areas.2.parts.0']]); // prettier-ignore
  expect(evaluateSite({ ...blank, name: 'Lake', place: { lat: '47', lon: '' } }).errors.map(({ code, field }) => [code, field])).toEqual([['place.half', 'place.lon']]); // prettier-ignore
});

const DIMENSIONS: Readonly<Record<ShapeKind, number[]>> = {
  rectangle: [12, 7],
  triangle: [10, 6],
  'three-sides': [6, 5, 4],
  trapezoid: [8, 4, 5],
  circle: [5],
  'half-circle': [5],
  ellipse: [10, 6],
  ring: [5, 3],
  'four-sides': [3, 4, 3.5, 4.5, 5],
  offsets: [2, 1, 3, 2, 4],
  walk: [6, Math.PI / 2, 4, Math.PI / 2, 6, Math.PI / 2, 4, Math.PI / 2],
  polygon: [0, 0, 8, 0, 8, 5, 0, 6],
  known: [80],
};

describe('handles', () => {
  it.each(SHAPE_KINDS)(
    '%s: each lies on the shape, stays put where it is, and goes where it is dragged',
    (kind) => {
      const d = DIMENSIONS[kind];
      const handles = handlesOf(kind, d);
      expect(handles.length > 0).toBe(kind !== 'known');
      for (const [at, handle] of handles.entries()) {
        if (handle.adds) {
          expect(shapeOf(kind).area(handle.move(handle.at))).toBeCloseTo(shapeOf(kind).area(d), 9);
          continue;
        }
        handle.move(handle.at).forEach((value, index) => expect(value).toBeCloseTo(d[index]!, 9));
        const to = { x: handle.at.x * 1.1 + 0.05, y: handle.at.y * 1.1 + 0.05 };
        const moved = handlesOf(kind, handle.move(to))[at]!.at;
        const along = Math.hypot(moved.x - handle.at.x, moved.y - handle.at.y);
        expect(along).toBeGreaterThan(0);
        // On at least one axis it is under the finger.
        const miss = Math.min(Math.abs(moved.x - to.x), Math.abs(moved.y - to.y), Math.abs(Math.hypot(moved.x, moved.y) - Math.hypot(to.x, to.y))); // prettier-ignore
        expect(miss).toBeLessThan(1e-9);
      }
    },
  );
  it('typing and dragging stay in step: dragged lengths read back as dragged', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPE_KINDS.filter((kind) => kind !== 'known')),
        fc.nat(),
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.boolean(),
        (kind, pick, dx, dy, snap) => {
          const input = part(kind, []) as Extract<PartInput, { lengths: unknown }>;
          const d = DIMENSIONS[kind];
          const handles = handlesOf(kind, d);
          const handle = handles[pick % handles.length]!;
          const after = handle.move({ x: handle.at.x + dx, y: handle.at.y + dy });
          const lengths = draggedLengths(input, null, after, noPace, snap);
          const back = evaluateShape({ ...input, lengths }, noPace, 'p').dimensions;
          // A length that snaps to nothing is said to be wrong, not read.
          if (back === null) return;
          const angle = (at: number) => kind === 'walk' && at % 2 === 1;
          back.forEach((value, index) => expect(Math.abs(value - after[index]!)).toBeLessThan(angle(index) ? 1e-3 : snap ? 0.0501 : 6e-4)); // prettier-ignore
        },
      ),
      { seed: 61, numRuns: 300 },
    );
  });
  it('keeps what was typed of lengths that did not change, and counts paces as paces', () => {
    const input = { ...blankPart('rectangle', 'ft', 'r'), lengths: ['62\' 6"', '38'] };
    const d = [62.5 * 0.3048, 38 * 0.3048];
    expect(draggedLengths(input, d, [d[0]!, 40.26 * 0.3048], noPace, true)).toEqual(['62\' 6"', '40.5']);
    const paces = evaluatePaces({ line: '82 m', unit: 'm', walks: ['100'], wheel: '' }, 'pace');
    expect(draggedLengths({ ...input, by: 'paces' }, null, [41.1 * 0.82, 23 * 0.82], paces, true)).toEqual(['41', '23']); // prettier-ignore
  });
});

it('snaps a corner onto a corner, else onto the grid', () => {
  const square = [{ x: 10.2, y: 0.1 }, { x: 12, y: 0 }, { x: 12, y: 2 }]; // prettier-ignore
  expect(snapMove(square[0]!, square, [[{ x: 10, y: 0 }]], 0.5, 1)).toEqual({ x: expect.closeTo(-0.2, 9), y: expect.closeTo(-0.1, 9) }); // prettier-ignore
  expect(snapMove(square[0]!, square, [[{ x: 90, y: 0 }]], 0.5, 1)).toEqual({ x: expect.closeTo(-0.2, 9), y: expect.closeTo(-0.1, 9) }); // prettier-ignore
  expect(snapMove({ x: 0.4, y: 0.7 }, square, [], 0.5, 1)).toEqual({ x: expect.closeTo(-0.4, 9), y: expect.closeTo(0.3, 9) }); // prettier-ignore
});

it('draws the parts of a sum sheet beside each other', () => {
  const parts = [
    LAWN,
    part('circle', [6]),
    part('rectangle', [12, 8], { cut: true }),
    part('rectangle', ['', '']),
  ];
  const { measured } = read(area({ parts }));
  const moved = layOut(measured.parts);
  const boxes = measured.parts.flatMap(({ outlines }, index) =>
    outlines
      .slice(0, 1)
      .map((outline) => outline.map(({ x, y }) => ({ x: x + moved[index]!.x, y: y + moved[index]!.y }))),
  );
  const spans = boxes.map((box) => ({ x: box.map((p) => p.x), y: box.map((p) => p.y) }));
  const apart = (a: number[], b: number[]) =>
    Math.max(...a) < Math.min(...b) || Math.max(...b) < Math.min(...a);
  for (const [i, a] of spans.entries())
    for (const b of spans.slice(i + 1)) expect(apart(a.x, b.x) || apart(a.y, b.y)).toBe(true);
});

describe('parts called out', () => {
  const cases: [string, ShapeKind, boolean, string[]][] = [
    ['62 x 38', 'rectangle', false, ['62', '38']],
    ["62' 6\" × 38 ft", 'rectangle', false, ["62' 6\"", '38 ft']],
    ['-12x8', 'rectangle', true, ['12', '8']],
    ['square 9', 'rectangle', false, ['9', '9']],
    ['circle 6', 'circle', false, ['6']],
    ['cut out circle r 6 ft', 'circle', true, ['6 ft']],
    ['r6', 'circle', false, ['6']],
    ['minus half circle 4', 'half-circle', true, ['4']],
    ['triangle 20 x 14', 'triangle', false, ['20', '14']],
    ['tri 3 4 5', 'three-sides', false, ['3', '4', '5']],
    ['trap 20, 14, 8', 'trapezoid', false, ['20', '14', '8']],
    ['oval 20 by 12', 'ellipse', false, ['20', '12']],
    ['ring 8 5', 'ring', false, ['8', '5']],
    ['four sides 20 15 18 16 24', 'four-sides', false, ['20', '15', '18', '16', '24']],
    ['offsets 10: 0 14 19', 'offsets', false, ['10', '0', '14', '19']],
  ]; // prettier-ignore
  it.each(cases)('%s', (input, kind, cut, lengths) =>
    expect(readQuickPart(input, 'quick')).toEqual({ kind, cut, lengths }),
  );
  it.each([
    ['', 'shape.unreadable'],
    ['lawn', 'shape.unreadable'],
    ['62', 'shape.unreadable'],
    ['triangle 20', 'shape.count'],
    ['ring 5', 'shape.count'],
  ])('%s is refused', (input, code) =>
    expect(() => readQuickPart(input, 'quick')).toThrowError(expect.objectContaining({ code })),
  );
});
