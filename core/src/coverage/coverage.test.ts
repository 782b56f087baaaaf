import { describe, expect, it } from 'vitest';
import type { Ground, Point } from '../ground/index.ts';
import { planPasses } from '../passes/index.ts';
import { cvAt, patternOf, underPattern } from '../width/index.ts';
import { assumedPattern, deflected, OFF_KINDS, simulateCoverage, type CoverageRequest } from './index.ts';

const box = (x: number, y: number, wide: number, high: number): Point[] => [{ x, y }, { x: x + wide, y }, { x: x + wide, y: y + high }, { x, y: y + high }]; // prettier-ignore
const TARGET = 0.015;
/** Trays of a throw that leans to the left (the trays of the tray test's own tests). */
const TRAYS = patternOf(Array.from({ length: 17 }, (_, index) => -4 + index / 2), [0, 0.3, 0.9, 1.8, 2.7, 3.3, 3.6, 3.8, 3.9, 3.7, 3.4, 3, 2.3, 1.5, 0.7, 0.2, 0]); // prettier-ignore

const request = (ground: Ground, more: Partial<CoverageRequest> = {}): CoverageRequest => ({
  ground,
  area: ground,
  edges: [],
  tracks: [],
  targetPerM2: TARGET,
  cellM: 0.1,
  seed: 1,
  wanderM: 0,
  paceSd: 0,
  flows: true,
  opensLateM: 0,
  shutsEarlyM: 0,
  ...more,
});
const tracksOver = (ground: Ground, spacingM: number, pattern = TRAYS, headingDeg = 0, share = 1) => {
  const plan = planPasses({ ground, spacingM, trim: { rounds: 0, stripM: 1, pathM: 1, edgeOn: 'right' }, heading: headingDeg, last: 'even', directions: 1, refillAt: null }); // prettier-ignore
  return plan.legs.map(({ line }) => ({ line, perM: TARGET * share * plan.spacingM, pattern }));
};
const offAll = (off: Record<string, number>) => OFF_KINDS.reduce((sum, kind) => sum + off[kind]!, 0);
const run = (asked: CoverageRequest) => simulateCoverage(asked)!;

describe('masses', () => {
  const ground = [[{ x: 0, y: 0 }, { x: 31, y: 4 }, { x: 27, y: 33 }, { x: 3, y: 25 }]]; // prettier-ignore
  const at = (cellM: number, heading = 17) => {
    const { onSi, off, releasedSi } = run(request(ground, { cellM, tracks: tracksOver(ground, 5, TRAYS, heading), wanderM: 0.3, paceSd: 0.05 })); // prettier-ignore
    return Math.abs((onSi + offAll(off)) / releasedSi - 1);
  };

  it('what lies on and off the area is what was let out: within 0.5 % at 0.1 m, closer on finer cells', () => {
    expect(at(0.1)).toBeLessThan(0.005);
    expect(at(0.05)).toBeLessThan(at(0.8));
    for (const heading of [0, 45, 90]) expect(at(0.1, heading)).toBeLessThan(0.005);
  });

  it('a gate that opens late or shuts early lets out less, one that shuts late lets it fall beside', () => {
    const lawn = [box(0, 0, 20, 30)];
    const tracks = tracksOver(lawn, 5);
    const plain = run(request(lawn, { tracks }));
    const late = run(request(lawn, { tracks, opensLateM: 1, shutsEarlyM: 0.5 }));
    expect(plain.releasedSi - late.releasedSi).toBeCloseTo(tracks.reduce((sum, { perM }) => sum + perM * 1.5, 0), 9); // prettier-ignore
    const long = run(request(lawn, { tracks, shutsEarlyM: -2 }));
    expect(offAll(long.off) - offAll(plain.off)).toBeCloseTo(tracks.length * 2 * tracks[0]!.perM, 3);
    expect(long.onSi).toBeCloseTo(plain.onSi, 9);
  });

  it('lines back and forth of several sides open late on the first alone', () => {
    const line = [{ x: 5, y: 5 }, { x: 25, y: 5 }, { x: 25, y: 20 }]; // prettier-ignore
    const { releasedSi } = run(request(ground, { tracks: [{ line, perM: 1, pattern: TRAYS }], opensLateM: 22, shutsEarlyM: 3 })); // prettier-ignore
    expect(releasedSi).toBeCloseTo(10, 9);
  });
});

describe('evenness', () => {
  it('an even pattern over a rectangle gives the target everywhere', () => {
    const ground = [box(0, 0, 20, 30)];
    const { mean, cv, under, over, off, map, inside } = run(request(ground, { tracks: tracksOver(ground, 5, assumedPattern('even', 5)) })); // prettier-ignore
    expect(mean / TARGET).toBeCloseTo(1, 6);
    expect(cv).toBeLessThan(1e-6);
    expect([under, over]).toEqual([0, 0]);
    expect(offAll(off)).toBeLessThan(1e-9);
    expect(map.every((value, index) => inside[index] === 0 || Math.abs(value / TARGET - 1) < 1e-6)).toBe(
      true,
    );
  });

  // Far inside a large field the passes are without end for a cell.
  const wide = [box(0, 0, 60, 40)];
  const inner = [box(20, 10, 20, 20)];
  const inField = (spacingM: number) => {
    const { cv, mean } = run(request(inner, { tracks: tracksOver(wide, spacingM), cellM: 0.05 }));
    return { cv, mean };
  };

  it.each([4, 5])('passes %s m apart: CV and mean as the trays say', (spacingM) => {
    const { cv, mean } = inField(spacingM);
    expect(Math.abs(cv / cvAt(TRAYS, spacingM, 'back-and-forth') - 1)).toBeLessThan(0.01);
    expect(mean / TARGET).toBeCloseTo(1, 2);
  });

  it('two directions at right angles, half of it each: CV falls by the square root of two', () => {
    const both = [...tracksOver(wide, 5, TRAYS, 0, 0.5), ...tracksOver(wide, 5, TRAYS, 90, 0.5)];
    const { cv } = run(request(inner, { tracks: both }));
    expect(Math.abs(inField(5).cv / cv / Math.SQRT2 - 1)).toBeLessThan(0.02);
  });

  it('settles as cells get finer', () => {
    const ground = [[{ x: 0, y: 0 }, { x: 22, y: 3 }, { x: 9, y: 25 }]]; // prettier-ignore
    const cvOf = (cellM: number) =>
      run(request(ground, { tracks: tracksOver(ground, 4, TRAYS, 30), cellM })).cv;
    const finest = cvOf(0.05);
    expect(Math.abs(cvOf(0.1) - finest)).toBeLessThan(Math.abs(cvOf(0.8) - finest));
    expect(Math.abs(cvOf(0.1) / finest - 1)).toBeLessThan(0.01);
  });

  it('full throw apart is far less even than half', () => {
    const triangle = assumedPattern('triangle', 4);
    const half = run(request(inner, { tracks: tracksOver(wide, 4, triangle) }));
    const full = run(request(inner, { tracks: tracksOver(wide, 8, triangle) }));
    expect(half.cv).toBeLessThan(0.05);
    expect(full.cv).toBeGreaterThan(0.4);
    expect(full.under).toBeGreaterThan(0.3);
    expect(full.histogram.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  it('an unsteady pace tells where output goes with it, and nowhere else', () => {
    const tracks = tracksOver(wide, 5);
    const steady = run(request(inner, { tracks })).cv;
    expect(run(request(inner, { tracks, paceSd: 0.1 })).cv).toBeGreaterThan(steady * 1.15);
    expect(run(request(inner, { tracks, paceSd: 0.1, flows: false })).cv).toBe(steady);
  });

  it('the same seed gives the same map, another one another', () => {
    const asked = request(inner, { tracks: tracksOver(wide, 5), wanderM: 0.4, paceSd: 0.05 });
    expect(run(asked).map).toEqual(run(asked).map);
    expect(run({ ...asked, seed: 2 }).map).not.toEqual(run(asked).map);
  });
});

describe('beside the area', () => {
  const area = [box(0, 0, 20, 30)];
  const lake = { kind: 'water', points: [{ x: 0, y: 30 }, { x: 0, y: 0 }], closed: false } as const; // prettier-ignore
  const walk = { kind: 'pavement', points: [{ x: 20, y: 0 }, { x: 20, y: 30 }], closed: false } as const; // prettier-ignore

  it('is told apart by the edge that lies nearest', () => {
    const { off } = run(request(area, { edges: [lake, walk], tracks: tracksOver(area, 5) }));
    expect(off.water).toBeGreaterThan(0.1);
    expect(off.pavement).toBeGreaterThan(0.1);
    // The trays caught more on the left: passes up at the lake, down at the walk.
    expect(off.drain + off.buffer).toBe(0);
  });

  it('what is kept clear of is a kind of its own', () => {
    const treated = [box(3, 0, 17, 30)];
    const { off } = run(request(treated, { area, edges: [lake, walk], tracks: tracksOver(treated, 5) }));
    expect(off.buffer).toBeGreaterThan(off.water);
  });

  it('the deflector keeps it off', () => {
    const line = [{ x: 0.5, y: 0 }, { x: 0.5, y: 30 }]; // prettier-ignore
    const plain = run(request(area, { edges: [lake], tracks: [{ line, perM: 0.05, pattern: TRAYS }] }));
    const down = run(request(area, { edges: [lake], tracks: [{ line, perM: 0.05, pattern: deflected(TRAYS, 'left', 0.5) }] })); // prettier-ignore
    expect(plain.off.water).toBeGreaterThan(0.4);
    expect(down.off.water).toBeLessThan(0.001);
    expect(down.releasedSi).toBe(plain.releasedSi);
  });
});

describe('patterns', () => {
  it('with the deflector down nothing is lost, and nothing goes beyond its reach', () => {
    for (const side of ['left', 'right'] as const) {
      const pattern = deflected(TRAYS, side, 0.7);
      expect(underPattern(pattern)).toBeCloseTo(underPattern(TRAYS), 2);
      expect(side === 'left' ? pattern.xM[0]! : -pattern.xM.at(-1)!).toBeGreaterThan(-0.71);
    }
  });

  it('what is assumed is as wide as it should be', () => {
    expect(underPattern(assumedPattern('even', 5))).toBeCloseTo(5, 9);
    expect(cvAt(assumedPattern('triangle', 3), 3, 'one-way')).toBeCloseTo(0, 9);
  });
});

it('says how far it is, and stops when told to', () => {
  const ground = [box(0, 0, 20, 30)];
  const heard: number[] = [];
  simulateCoverage(
    request(ground, { tracks: tracksOver(ground, 5), cellM: 0.5 }),
    (share) => heard.push(share) > 0,
  );
  expect(heard).toEqual([0, 0.25, 0.5, 0.75]);
  expect(simulateCoverage(request(ground, { tracks: tracksOver(ground, 5), cellM: 0.5 }), (share) => share < 0.5)).toBeNull(); // prettier-ignore
});
