import type { Outline, Point } from '../ground/index.ts';
import type { Lanes, Stretch } from './lanes.ts';

/** One thing that is walked with the gate open: round an edge, or along a pass. */
export interface Leg {
  readonly zone: 'trim' | 'first' | 'second';
  /** Number of the trim round or of the pass, and which part of it: of one part in all, 0. */
  readonly number: number;
  readonly part: number;
  readonly parts: number;
  /** Which piece of the ground, from 0. */
  readonly piece: number;
  /** Walked in this order; a round ends where it began. */
  readonly line: readonly Point[];
  readonly lengthM: number;
  /** Walked shut from the end of the one before, m. */
  readonly unfedM: number;
}

type Unplaced = Omit<Leg, 'unfedM'>;

const apart = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** How far it is from where one stands; 0 where one starts there. */
const gap = (from: Point | null, to: Point): number => (from ? apart(from, to) : 0);

/** A closed line begun at the corner nearest to where one stands. */
function begunNear(outline: Outline, from: Point | null): Point[] {
  if (!from) return [...outline, outline[0]!];
  const nearest = outline.reduce((best, point, index) => (apart(point, from) < apart(outline[best]!, from) ? index : best), 0); // prettier-ignore
  return [...outline.slice(nearest), ...outline.slice(0, nearest + 1)];
}

/** Rounds in their order: the outermost first, each from its corner nearest to where one stands. */
export function walkRounds(
  rounds: readonly (Pick<Leg, 'number' | 'piece' | 'lengthM'> & { outline: Outline })[],
  from: Point | null,
  isClockwise: boolean,
): { legs: Leg[]; end: Point | null } {
  let at = from;
  const legs = rounds.map(({ outline, ...round }): Leg => {
    const line = begunNear(isClockwise ? outline.toReversed() : outline, at);
    const leg: Leg = { ...round, zone: 'trim', part: 0, parts: 1, line, unfedM: gap(at, line[0]!) };
    at = line.at(-1)!;
    return leg;
  });
  return { legs, end: at };
}

/** Stretches that follow each other side by side without anything between: worked off in one go. */
type Block = readonly Stretch[];

/** Whether two stretches of neighbouring passes lie beside each other. */
function isBeside(a: Stretch, b: Stretch, { headingDeg }: Lanes): boolean {
  const [sin, cos] = [Math.sin((headingDeg * Math.PI) / 180), Math.cos((headingDeg * Math.PI) / 180)];
  const span = ({ from, to }: Stretch) => [from.x * sin + from.y * cos, to.x * sin + to.y * cos] as const;
  const [[a0, a1], [b0, b1]] = [span(a), span(b)];
  return Math.min(a1, b1) > Math.max(a0, b0);
}

/** Passes parted into blocks where a cut-out or a corner divides them. */
export function blocksOf(lanes: Lanes): Block[] {
  const byPass = Array.from({ length: lanes.passes }, (_, index) => lanes.stretches.filter(({ pass }) => pass === index + 1)); // prettier-ignore
  const open: Stretch[][] = [];
  const done: Stretch[][] = [];
  for (const [at, row] of byPass.entries()) {
    const before = byPass[at - 1] ?? [];
    const next = row.map((stretch) => {
      const beside = before.filter((other) => isBeside(other, stretch, lanes));
      const alone =
        beside.length === 1 && row.filter((other) => isBeside(beside[0]!, other, lanes)).length === 1;
      const block = alone ? open.find((each) => each.at(-1) === beside[0]) : undefined;
      if (block) block.push(stretch);
      return block ?? [stretch];
    });
    done.push(...open.filter((block) => !next.includes(block)));
    open.splice(0, open.length, ...next);
  }
  return [...done, ...open];
}

/** A block from one of its four corners, there and back. */
function inOrder(block: Block, fromLast: boolean, turned: boolean): { stretch: Stretch; line: Point[] }[] {
  const rows = fromLast ? block.toReversed() : block;
  return rows.map((stretch, index) => {
    const isBack = (index % 2 === 1) !== turned;
    return { stretch, line: isBack ? [stretch.to, stretch.from] : [stretch.from, stretch.to] };
  });
}

const CORNERS = [[false, false], [false, true], [true, false], [true, true]] as const; // prettier-ignore

/** The way into a block that is nearest to where one stands. */
function nearestWay(block: Block, from: Point | null) {
  const ways = CORNERS.map(([fromLast, turned]) => inOrder(block, fromLast, turned));
  return ways.reduce((best, way) => (gap(from, way[0]!.line[0]!) < gap(from, best[0]!.line[0]!) - 1e-9 ? way : best)); // prettier-ignore
}

/**
 * The order in which passes are walked: a block is worked off there and back, then comes the nearest block that is left. Walking with
 * the gate shut stays short without anybody having to think of it.
 */
export function walkLanes(lanes: Lanes, zone: 'first' | 'second', piece: number, from: Point | null): { legs: Leg[]; end: Point | null } {
  const left = blocksOf(lanes);
  const legs: Leg[] = [];
  let at = from;
  while (left.length > 0) {
    const ways = left.map((block) => nearestWay(block, at));
    const nearest = ways.reduce((best, way, index) => (gap(at, way[0]!.line[0]!) < gap(at, ways[best]![0]!.line[0]!) - 1e-9 ? index : best), 0);
    for (const { stretch, line } of ways[nearest]!) {
      const leg: Unplaced = { zone, number: stretch.pass, part: stretch.part, parts: stretch.parts, piece, line, lengthM: stretch.lengthM };
      legs.push({ ...leg, unfedM: gap(at, line[0]!) });
      at = line[1]!;
    }
    left.splice(nearest, 1);
  }
  return { legs, end: at };
} // prettier-ignore
