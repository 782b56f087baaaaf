import { InputError } from '../errors/InputError.ts';
import { finite, requireFinite, requirePositive } from '../errors/preconditions.ts';
import { groundArea, intersection, type Ground, type Point } from '../ground/index.ts';
import { chordsAt, extentOf, frameOf } from './frame.ts';
import type { PlannedPiece } from './plan.ts';

/** A block of ground that is marked out and gets a load of its own. */
export interface GroundBlock {
  /** From 1, up one column and on to the next. */
  readonly number: number;
  readonly ground: Ground;
  readonly areaM2: number;
  readonly middle: Point;
}

/** More blocks than this nobody marks out. */
const MAX_BLOCKS = 400;
/** What is smaller than this share of a block goes with its neighbour. */
const SLIVER = 0.25;

/** Where flags stand: in how many columns and rows the ground is divided so that blocks come near the size asked for. */
function gridFor(wide: number, long: number, sizeM2: number, spacingM: number) {
  const side = Math.sqrt(sizeM2);
  // Whole passes to a column, so that none is walked in two blocks.
  const passes = Math.max(1, Math.ceil(finite(wide / spacingM) - 1e-6));
  const perColumn = Math.min(passes, Math.max(1, Math.round(side / (wide / passes))));
  const columns = Math.ceil(passes / perColumn - 1e-6);
  const columnM = wide / columns;
  const rows = Math.max(1, Math.round((long * columnM) / sizeM2));
  return { columns, rows, columnM, rowM: long / rows };
}

/** A place well within a block: the middle of the longest line across it, half way up. */
function middleOf(ground: Ground): Point {
  const upright = frameOf(90);
  const { minV, maxV } = extentOf(ground, upright);
  const v = (minV + maxV) / 2;
  const chords = chordsAt(ground, upright, v);
  const longest = chords.reduce(
    (best, chord) => (chord.to - chord.from > best.to - best.from ? chord : best),
    chords[0] ?? { from: 0, to: 0 },
  );
  return chords.length === 0 ? ground[0]![0]! : upright.at((longest.from + longest.to) / 2, v);
}

interface Cell {
  ground: Ground;
  areaM2: number;
}

/** A piece cut along its passes and across them; slivers go with the block before them. */
function cellsOf(piece: PlannedPiece, headingDeg: number, sizeM2: number, spacingM: number): Cell[] {
  const frame = frameOf(headingDeg);
  const { minS, maxS, minV, maxV } = extentOf(piece.ground, frame);
  const { columns, rows, columnM, rowM } = gridFor(maxV - minV, maxS - minS, sizeM2, spacingM);
  if (columns * rows > MAX_BLOCKS) throw new InputError('passes.too-many-blocks', { field: 'blocks', most: MAX_BLOCKS }); // prettier-ignore
  const cells: Cell[] = [];
  for (let column = 0; column < columns; column += 1)
    for (let row = 0; row < rows; row += 1) {
      const [v, s] = [minV + column * columnM, minS + row * rowM];
      const square = [frame.at(s, v), frame.at(s, v + columnM), frame.at(s + rowM, v + columnM), frame.at(s + rowM, v)]; // prettier-ignore
      const ground = intersection(piece.ground, [square.toReversed()]);
      const areaM2 = groundArea(ground);
      const before = cells.at(-1);
      if (before && (areaM2 < sizeM2 * SLIVER || before.areaM2 < sizeM2 * SLIVER)) {
        before.ground = [...before.ground, ...ground];
        before.areaM2 += areaM2;
      } else if (areaM2 > 0) cells.push({ ground, areaM2 });
    }
  return cells;
}

/**
 * Ground in blocks of about a size, for whoever spreads for the first time: each is marked out with flags and gets the load that is
 * weighed out for it, so that a wrong setting shows after the first one.
 *
 * @param sizeM2 of a block, above 0
 * @throws InputError passes.too-many-blocks, number.unusable
 * @example groundBlocks(passPlan.pieces, 0, 200, 4).length // 4
 */
export function groundBlocks(
  pieces: readonly PlannedPiece[],
  headingDeg: number,
  sizeM2: number,
  spacingM: number,
): GroundBlock[] {
  requirePositive({ sizeM2, spacingM });
  requireFinite({ headingDeg });
  const cells = pieces
    .filter(({ ground }) => groundArea(ground) > 0)
    .flatMap((piece) => cellsOf(piece, headingDeg, sizeM2, spacingM));
  return cells.map(({ ground, areaM2 }, index) => ({
    number: index + 1,
    ground,
    areaM2,
    middle: middleOf(ground),
  }));
}
