import { InputError } from '../errors/InputError.ts';
import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { groundArea, lineLength, type Ground, type Point } from '../ground/index.ts';
import { requirePattern, throwOf, type Pattern } from '../width/pattern.ts';
import { kindsAround, OFF_KINDS, type KnownEdge, type OffKind } from './around.ts';
import { layRun, type Run } from './deposit.ts';
import { cellsOn, gridOver, type Grid } from './grid.ts';
import { tableOf, type PatternTable } from './patterns.ts';
import { outputBetween, unsteadyWalk } from './unsteady.ts';

/** One way that is walked, with what falls along it. */
export interface Track {
  readonly line: readonly Point[];
  /** What goes out on each metre, kg/m or L/m. */
  readonly perM: number;
  /** Across it, to the right of whoever walks; only its shape counts. */
  readonly pattern: Pattern;
}

export interface CoverageRequest {
  /** What is treated, and all of the area with its buffers. */
  readonly ground: Ground;
  readonly area: Ground;
  readonly edges: readonly KnownEdge[];
  readonly tracks: readonly Track[];
  /** What the ground should get, kg/m2 or L/m2. */
  readonly targetPerM2: number;
  readonly cellM: number;
  readonly seed: number;
  /** Standard deviation off the line, m, and of the pace over its mean. */
  readonly wanderM: number;
  readonly paceSd: number;
  /** Output goes as 1/speed; where wheels meter it does not. */
  readonly flows: boolean;
  /** The gate opens so far after the line and shuts so far before it; below 0: before and after, m. */
  readonly opensLateM: number;
  readonly shutsEarlyM: number;
}

/** What lies where, and what that comes to. */
export interface Coverage {
  readonly grid: Grid;
  /** kg/m2 or L/m2, row by row from the lowest. */
  readonly map: Float64Array;
  /** 1 where a cell is treated ground. */
  readonly inside: Uint8Array;
  readonly mean: number;
  /** Standard deviation over mean, over the treated ground. */
  readonly cv: number;
  /** Share of the ground below 75 % and over 125 % of the target. */
  readonly under: number;
  readonly over: number;
  /** Share of the ground by what it got: each tenth of the target up to twice it, and what is beyond. */
  readonly histogram: readonly number[];
  /** kg or L. */
  readonly releasedSi: number;
  readonly onSi: number;
  readonly off: Readonly<Record<OffKind, number>>;
}

const [UNDER, OVER] = [0.75, 1.25];
const BINS = 21;

/** Longer ways, or ground that much farther away, are a slip of a unit, m. */
const MAX_M = 1e5;

/** Refuses what no ground and no machine can be. */
function requireSimple({ ground, tracks, cellM, targetPerM2, wanderM, paceSd, opensLateM, shutsEarlyM, seed }: CoverageRequest): void {
  requirePositive({ cellM, targetPerM2 });
  requireFinite({ seed });
  const lengths = [cellM, wanderM, paceSd, opensLateM, shutsEarlyM, ...tracks.flatMap(({ line }) => [lineLength(line, false), ...line.flatMap(({ x, y }) => [x, y])]), ...ground.flat().flatMap(({ x, y }) => [x, y])];
  for (const lengthM of lengths) if (!(Math.abs(lengthM) <= MAX_M)) throw new InputError('number.unusable', { field: 'lengthM', input: String(lengthM) });
  for (const { perM, pattern } of tracks) {
    requireFinite({ perM });
    requirePattern(pattern);
    if (!(throwOf(pattern) <= MAX_M) || !(Math.abs(pattern.xM[0]!) <= MAX_M)) throw new InputError('number.unusable', { field: 'pattern', input: String(pattern.xM[0]) });
  }
  if (!(groundArea(ground) > 0)) throw new InputError('passes.no-ground', { field: 'ground' });
} // prettier-ignore

/** A way less what is walked before the gate opens and after it shuts; more, where that is early or late. */
function opened(line: readonly Point[], lateM: number, earlyM: number): { line: Point[]; from: number } {
  const length = lineLength(line, false);
  const [from, to] = [lateM, length - earlyM];
  if (to <= from || line.length < 2) return { line: [], from: 0 };
  const ahead = (a: Point, b: Point, by: number): Point => {
    const far = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { x: a.x + ((b.x - a.x) * by) / far, y: a.y + ((b.y - a.y) * by) / far };
  };
  const kept: Point[] = [];
  let walked = 0;
  for (let index = 1; index < line.length; index += 1) {
    const [a, b] = [line[index - 1]!, line[index]!];
    const far = Math.hypot(b.x - a.x, b.y - a.y);
    const [first, last] = [index === 1 ? Math.min(from, far) : Math.max(0, from - walked), index === line.length - 1 ? to - walked : Math.min(far, to - walked)];
    if (last > first) kept.push(...(kept.length === 0 ? [ahead(a, b, first)] : []), ahead(a, b, last));
    walked += far;
  }
  return { line: kept, from: Math.max(0, from) };
} // prettier-ignore

interface Laid {
  readonly runs: readonly Run[];
  readonly releasedSi: number;
}

/** A track as straight runs, each with its own part of the walk. */
function runsOf(
  { line, perM, pattern }: Track,
  at: number,
  request: CoverageRequest,
  tables: Map<Pattern, PatternTable>,
): Laid {
  const { seed, wanderM, paceSd, flows, opensLateM, shutsEarlyM, cellM } = request;
  const open = opened(line, opensLateM, shutsEarlyM);
  const length = lineLength(open.line, false);
  if (!(length > 0)) return { runs: [], releasedSi: 0 };
  const walk = unsteadyWalk(length, { seed: seed + at * 7919, wanderM, paceSd, flows });
  const widestM = walk.sideM.reduce((most, side) => Math.max(most, Math.abs(side)), 0);
  const table = tables.get(pattern) ?? tableOf(pattern, cellM);
  tables.set(pattern, table);
  let walkedM = 0;
  const runs = open.line.slice(1).map((to, index): Run => {
    const from = open.line[index]!;
    const run = { from, to, perM, table, walk, walkedM, widestM };
    walkedM += Math.hypot(to.x - from.x, to.y - from.y);
    return run;
  });
  return { runs, releasedSi: perM * outputBetween(walk, 0, length) };
}

/** What lies beside the treated ground, by what is there. */
function countOff(
  map: Float64Array,
  inside: Uint8Array,
  grid: Grid,
  { ground, area, edges }: CoverageRequest,
): Coverage['off'] {
  const held = area === ground ? inside : cellsOn(area, grid);
  const kindAt = kindsAround(area, edges, grid);
  const { columns, rows, cellM } = grid;
  const sums = new Float64Array(OFF_KINDS.length);
  const buffer = OFF_KINDS.indexOf('buffer');
  for (let row = 0, index = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1, index += 1)
      if (inside[index] === 0 && map[index]! > 0)
        sums[held[index] === 1 ? buffer : kindAt(column, row)]! += map[index]!;
  return Object.fromEntries(
    OFF_KINDS.map((kind, index) => [kind, sums[index]! * cellM ** 2]),
  ) as Coverage['off'];
}

/** The ground is counted by fortieths of the target: limits of 75 and 125 % lie on their borders. */
const FINE = 40;
const tenths = (fine: Int32Array, all: number): number[] =>
  Array.from({ length: BINS }, (_, bin) => fine.subarray(bin * 4, bin === BINS - 1 ? fine.length : bin * 4 + 4).reduce((sum, count) => sum + count, 0) / all); // prettier-ignore

/** What the treated ground gets. */
function countOn(map: Float64Array, inside: Uint8Array, cellM: number, targetPerM2: number) {
  const fine = new Int32Array((BINS - 1) * 4 + 1);
  const most = fine.length - 1;
  const perTarget = 1 / targetPerM2;
  // Each by itself: sums that begin in a list are boxed at each step.
  let cells = 0;
  let sum = 0;
  let squares = 0;
  for (let index = 0; index < map.length; index += 1) {
    if (inside[index] === 0) continue;
    const share = map[index]! * perTarget;
    // About the target, so that what is even shows as even.
    const beyond = share - 1;
    cells += 1;
    sum += beyond;
    squares += beyond * beyond;
    fine[(share < 2 ? share * FINE + 1e-9 : most) | 0]! += 1;
  } // prettier-ignore
  const all = Math.max(1, cells);
  const beyond = sum / all;
  const mean = finite((1 + beyond) * targetPerM2);
  const cv = mean > 0 ? Math.sqrt(Math.max(0, squares / all - beyond ** 2)) / (1 + beyond) : 0;
  const part = (from: number, to: number) => fine.subarray(from * FINE, to * FINE).reduce((total, count) => total + count, 0) / all; // prettier-ignore
  return { mean, cv, under: part(0, UNDER), over: part(OVER, Infinity), histogram: tenths(fine, all), onSi: mean * cells * cellM ** 2 }; // prettier-ignore
}

/**
 * What would lie where after a walk: each way lays its pattern on square cells, turned with the heading, off its line and unsteady in
 * its pace as a seed has it.
 *
 * Product falls beside whoever walks, not ahead: a way begins and ends square. Nothing is scaled to make masses agree.
 *
 * @param onShare hears how much is laid, 0 to 1; answers false to stop
 * @returns null where it was stopped
 * @throws InputError number.unusable
 * @example simulateCoverage(coverageRequest)?.inside.length // 5684
 */
export function simulateCoverage(
  request: CoverageRequest,
  onShare: (share: number) => boolean = () => true,
): Coverage | null {
  const { ground, tracks, cellM, wanderM, opensLateM, shutsEarlyM } = request;
  requireSimple(request);
  const widest = tracks.reduce((most, { pattern: { xM } }) => Math.max(most, -xM[0]!, xM.at(-1)!), 0);
  const late = Math.max(0, -opensLateM, -shutsEarlyM);
  const grid = gridOver(ground, finite(widest + 4 * wanderM + late + cellM), cellM);
  const map = new Float64Array(grid.columns * grid.rows);
  const tables = new Map<Pattern, PatternTable>();
  let releasedSi = 0;
  for (const [at, track] of tracks.entries()) {
    if (!onShare(at / tracks.length)) return null;
    const laid = runsOf(track, at, request, tables);
    releasedSi += laid.releasedSi;
    for (const run of laid.runs) layRun(map, grid, run);
  }
  const inside = cellsOn(ground, grid);
  const off = countOff(map, inside, grid, request);
  return { grid, map, inside, releasedSi, off, ...countOn(map, inside, grid.cellM, request.targetPerM2) };
}
