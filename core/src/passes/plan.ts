import { InputError } from '../errors/InputError.ts';
import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import {
  boundsOf,
  difference,
  groundArea,
  inset,
  lineLength,
  piecesOf,
  type Ground,
  type Outline,
  type Point,
} from '../ground/index.ts';
import type { HeadingAim, LastPass } from './choices.ts';
import { bestHeading, folded } from './heading.ts';
import { lanesOver, MAX_PASSES, offGround, type Lanes } from './lanes.ts';
import { walkLanes, walkRounds, type Leg } from './walk.ts';

/** Trim passes round the edges, those of cut-outs too. */
export interface TrimRequest {
  /** How many times round; 0: none. */
  readonly rounds: number;
  /** Width that one of them treats, m, and how far inside the edge of that width it is walked, m. */
  readonly stripM: number;
  readonly pathM: number;
  /** Which side of the machine is turned to the edge. */
  readonly edgeOn: 'left' | 'right';
}

export interface PassRequest {
  /** What is treated: edges anticlockwise, holes clockwise, m. */
  readonly ground: Ground;
  readonly spacingM: number;
  readonly trim: TrimRequest;
  /** Degrees clockwise from up, or what the best one is. */
  readonly heading: number | HeadingAim;
  readonly last: LastPass;
  /** Over the ground once, or once more at right angles. */
  readonly directions: 1 | 2;
  /** Where the product stands; null: one starts where the passes do. */
  readonly refillAt: Point | null;
}

/** A piece of ground with its passes. */
export interface PlannedPiece {
  readonly ground: Ground;
  /** What trims leave. */
  readonly field: Ground;
  readonly lanes: readonly Lanes[];
  /** It is too narrow for a trim pass: it is walked down its middle. */
  readonly isNarrow: boolean;
}

export interface PassPlan {
  readonly pieces: readonly PlannedPiece[];
  /** In the order in which they are walked. */
  readonly legs: readonly Leg[];
  readonly areaM2: number;
  /** What trims treat, m2. */
  readonly trimM2: number;
  /** Too narrow to be walked: neither a trim pass nor the field comes there, m2. */
  readonly unreachedM2: number;
  /** What square ends of passes lay beside the field, m2, in each direction. */
  readonly offM2: number;
  readonly passes: number;
  readonly headingDeg: number;
  /** Between passes after they were evened out, m: of several pieces their mean. */
  readonly spacingM: number;
  /** What passes of one direction treat as wide as they are apart, m2: against the field it tells how far they overlap. */
  readonly walkedM2: number;
}

const MAX_ROUNDS = 5;

/** Whether passes that far apart would be without end, or be none. */
function requireWalkable({ ground, spacingM, trim, refillAt }: PassRequest): void {
  requirePositive({ spacingM });
  if (refillAt) requireFinite({ x: refillAt.x, y: refillAt.y });
  const box = boundsOf(ground.flat());
  if (!box || !(groundArea(ground) > 0)) throw new InputError('passes.no-ground', { field: 'ground' });
  const across = Math.hypot(box.maxX - box.minX, box.maxY - box.minY);
  if (!(across / spacingM <= MAX_PASSES)) throw new InputError('passes.too-many', { field: 'spacing', most: MAX_PASSES }); // prettier-ignore
  if (!Number.isInteger(trim.rounds) || trim.rounds < 0 || trim.rounds > MAX_ROUNDS) throw new InputError('passes.trims', { field: 'trims', most: MAX_ROUNDS }); // prettier-ignore
  if (trim.rounds > 0) requirePositive({ stripM: trim.stripM, pathM: trim.pathM });
}

/** The lines that trims are walked along, the outermost first. */
function roundsOf(
  ground: Ground,
  { rounds, stripM, pathM }: TrimRequest,
): { number: number; outline: Outline }[] {
  return Array.from({ length: rounds }, (_, index) => index).flatMap((at) =>
    inset(ground, at * stripM + pathM).map((outline) => ({ number: at + 1, outline })),
  );
}

type Trimmed = Pick<PlannedPiece, 'ground' | 'field' | 'isNarrow'> & { rounds: ReturnType<typeof roundsOf> };

/** A piece that no trim fits into is all field. */
function trimmed(ground: Ground, trim: TrimRequest): Trimmed {
  const rounds = roundsOf(ground, trim);
  if (rounds.length === 0) return { ground, field: ground, rounds, isNarrow: trim.rounds > 0 };
  const field = inset(ground, trim.stripM * trim.rounds).filter((outline) => outline.length > 2);
  return { ground, field, rounds, isNarrow: false };
}

/** What stays too narrow for its trims, m2: all that a trim walked inside cannot reach back to. */
function unreached({ ground, isNarrow }: Trimmed, { rounds, pathM }: TrimRequest): number {
  if (rounds === 0 || isNarrow) return 0;
  // Half as far again, so that corners are not counted.
  return groundArea(difference(ground, inset(inset(ground, pathM), -1.5 * pathM)));
}

function headingFor(fields: readonly Ground[], { heading, spacingM, last }: PassRequest): number {
  if (typeof heading === 'number') return folded(finite(heading, 'heading'));
  const largest = fields.reduce<Ground | null>((best, field) => (!best || groundArea(field) > groundArea(best) ? field : best), null); // prettier-ignore
  return largest && largest.length > 0 ? bestHeading(largest, spacingM, last, heading) : 0;
}

/** All rounds, then the passes of each direction: piece by piece. */
function walk(pieces: readonly (Trimmed & PlannedPiece)[], { trim, refillAt }: PassRequest): Leg[] {
  const legs: Leg[] = [];
  let at: Point | null = refillAt;
  const add = ({ legs: more, end }: { legs: Leg[]; end: Point | null }): void => {
    legs.push(...more);
    at = end;
  };
  for (const [piece, { rounds, lanes }] of pieces.entries()) {
    const closed = rounds.map(({ number, outline }) => ({ number, piece, outline, lengthM: lineLength(outline, true) })); // prettier-ignore
    // An edge runs anticlockwise, with the ground on its left: the edge is on the right of whoever follows it.
    add(walkRounds(closed, at, trim.edgeOn === 'left'));
    for (const [direction, each] of lanes.entries())
      add(walkLanes(each, direction === 0 ? 'first' : 'second', piece, at));
  }
  return legs;
}

/**
 * How an area is walked: trims round its edges and its cut-outs, passes over what is left, numbered, in an order that keeps walking
 * with the gate shut short.
 *
 * @param request spacing above 0, m; at most 5 trims
 * @throws InputError passes.no-ground, passes.too-many, passes.trims, number.unusable
 * @example planPasses({ ...passRequest, spacingM: 4 }).passes // 5
 */
export function planPasses(request: PassRequest): PassPlan {
  requireWalkable(request);
  const { ground, spacingM, trim, last, directions } = request;
  const parts = piecesOf(ground).map((piece) => trimmed(piece, trim));
  const headingDeg = headingFor(parts.map(({ field }) => field), request); // prettier-ignore
  const headings = directions === 2 ? [headingDeg, folded(headingDeg + 90)] : [headingDeg];
  const pieces = parts.map((part) => ({
    ...part,
    lanes:
      part.field.length === 0
        ? []
        : headings.map((each) => lanesOver(part.field, each, spacingM, last, part.ground)),
  }));
  const lanes = pieces.flatMap((piece) => piece.lanes);
  const lengthOf = ({ stretches }: Lanes) => stretches.reduce((sum, { lengthM }) => sum + lengthM, 0);
  const walkedM = lanes.reduce((sum, each) => sum + lengthOf(each), 0);
  const walkedM2 = lanes.reduce((sum, each) => sum + lengthOf(each) * each.spacingM, 0);
  const areaM2 = groundArea(ground);
  return {
    pieces: pieces.map(({ ground: whole, field, lanes: own, isNarrow }) => ({ ground: whole, field, lanes: own, isNarrow })), // prettier-ignore
    legs: walk(pieces, request),
    areaM2,
    trimM2: areaM2 - parts.reduce((sum, { field }) => sum + groundArea(field), 0),
    unreachedM2: parts.reduce((sum, part) => sum + unreached(part, trim), 0),
    offM2: pieces.reduce((sum, { field, lanes: own }) => sum + (own[0] ? offGround(field, headingDeg, spacingM, last) : 0), 0), // prettier-ignore
    passes: lanes.reduce((sum, each) => sum + each.passes, 0),
    headingDeg,
    spacingM: walkedM > 0 ? walkedM2 / walkedM : spacingM,
    walkedM2: walkedM2 / directions,
  };
}
