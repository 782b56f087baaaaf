import { message, type Message } from '../messages/message.ts';
import * as z from 'zod';
import { InputError } from '../errors/InputError.ts';
import { lengthUnit, partId, text, type InputOf } from '../fields/schema.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import type { LengthUnit } from '../quantities/units.ts';
import { around, groundArea, intersection, isHole, union, type Ground } from './clip.ts';
import type { Outline } from './outline.ts';
import type { PartResult } from './parts.ts';

/** What lies beyond an edge and has to be kept clear of. */
export const EDGE_KINDS = ['water', 'drain', 'pavement', 'neighbour'] as const;
export type EdgeKind = (typeof EDGE_KINDS)[number];

/** Where along an area it lies. */
export const ALONG = ['all', 'holes', 'side', 'length'] as const;
export type Along = (typeof ALONG)[number];

/** An edge that matters, with the distance to keep from it. */
export const edgeInput = z.object({
  id: partId,
  kind: z.enum(EDGE_KINDS),
  along: z.enum(ALONG),
  /** Id of the part whose side it is; empty: its first. */
  part: z.string().max(60),
  /** Corners of that part, counted from 1; both empty: all round it. */
  from: text,
  to: text,
  /** Length of the edge, where just that is known. */
  length: text,
  /** The distance to keep; empty: it is named but nothing is held back. */
  buffer: text,
  unit: lengthUnit,
});
export type EdgeInput = InputOf<typeof edgeInput>;

/**
 * An edge of an area as it begins: water along all of it.
 *
 * @example blankEdge('e', 'm').kind // 'water'
 */
export const blankEdge = (id: string, unit: LengthUnit): EdgeInput => ({
  id,
  kind: 'water',
  along: 'all',
  part: '',
  from: '',
  to: '',
  length: '',
  buffer: '',
  unit,
});

/** An edge as read. */
export interface EdgeResult {
  readonly id: string;
  readonly of: EdgeKind;
  /** The edge itself, to be drawn; closed when it runs all round. */
  readonly lines: readonly { readonly points: Outline; readonly closed: boolean }[];
  /** 0 without a buffer. */
  readonly bufferM: number;
  /** For an edge known by its length alone: length times buffer, m2. */
  readonly bandM2: number;
}

const readCorner = (input: string, corners: number, field: string): number => {
  const corner = readNumber(input, field);
  if (Number.isInteger(corner) && corner >= 1 && corner <= corners) return corner - 1;
  throw new InputError('edge.corner', { field, input, most: corners });
};

/** The line from one corner on to another, the way round that the corners are counted. */
function side({ from, to }: EdgeInput, outline: Outline, field: string): EdgeResult['lines'][number] {
  if (from.trim() === '' && to.trim() === '') return { points: outline, closed: true };
  const first = readCorner(from, outline.length, `${field}.from`);
  const last = readCorner(to, outline.length, `${field}.to`);
  const steps = (last - first + outline.length) % outline.length || outline.length;
  const points = Array.from({ length: steps + 1 }, (_, index) => outline[(first + index) % outline.length]!);
  return { points, closed: false };
}

/**
 * Reads an edge: where it runs and how wide it holds product back.
 *
 * @param parts of the area, as read
 * @param ground the area as it lies; null on a sum sheet whose parts have no place
 * @param field path of the edge, for errors
 * @throws InputError edge.needs-place, edge.corner, edge.no-part, quantity.*
 */
export function evaluateEdge(
  edge: EdgeInput,
  parts: readonly PartResult[],
  ground: Ground | null,
  field: string,
): EdgeResult {
  const { id, kind: of, along, buffer, length, unit } = edge;
  const metres = (input: string, name: 'buffer' | 'length', what: Message) =>
    readPositive(input, { kind: 'length', bareUnit: unit, field: `${field}.${name}` }, what).si;
  const bufferM = buffer.trim() === '' ? 0 : metres(buffer, 'buffer', message('errors.what.buffer'));
  const lined = (lines: EdgeResult['lines']): EdgeResult => ({ id, of, lines, bufferM, bandM2: 0 });
  if (along === 'length') {
    const lengthM = length.trim() === '' ? 0 : metres(length, 'length', message('errors.what.edgeLength'));
    return { ...lined([]), bandM2: lengthM * bufferM };
  }
  if (along === 'side') {
    const part = edge.part === '' ? parts[0] : parts.find((candidate) => candidate.id === edge.part);
    const outline = part?.outlines[0];
    if (!outline) throw new InputError('edge.no-part', { field: `${field}.part` });
    return lined([side(edge, outline, field)]);
  }
  if (!ground) throw new InputError('edge.needs-place', { field: `${field}.along` });
  return lined(
    ground
      .filter((outline) => isHole(outline) === (along === 'holes'))
      .map((points) => ({ points, closed: true })),
  );
}

/** Ground that is held back along edges. */
export interface Buffers {
  /** What lies within a buffer, to be drawn. */
  readonly ground: Ground;
  /** All that is held back, overlaps counted once, m2; never more than the area. */
  readonly areaM2: number;
}

/**
 * What buffers take off an area: all ground of it nearer to an edge than the edge's buffer.
 *
 * @param ground the area as it lies
 * @param areaM2 its size; the most that can be held back
 * @example buffersOf([], [], 600).areaM2 // 0: nothing is kept clear of
 */
export function buffersOf(edges: readonly EdgeResult[], ground: Ground, areaM2: number): Buffers {
  const kept = edges.flatMap(({ lines, bufferM }) =>
    bufferM > 0 ? lines.flatMap(({ points, closed }) => around(points, bufferM, closed)) : [],
  );
  const within = kept.length === 0 ? [] : intersection(ground, union(kept));
  const byLength = edges.reduce((sum, { bandM2 }) => sum + bandM2, 0);
  return { ground: within, areaM2: Math.min(areaM2, groundArea(within) + byLength) };
}
