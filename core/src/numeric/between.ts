/** A point of a table. */
export type TablePoint = readonly [at: number, value: number];

/**
 * A value of a table between its points, in a straight line.
 *
 * @param points at rising places, one at least
 * @returns null outside of the table
 * @example between([[0, 13.3], [10, 20.9]], 5) // 17.1
 */
export function between(points: readonly TablePoint[], at: number): number | null {
  const next = points.findIndex(([x]) => x >= at);
  if (next === -1 || at < points[0]![0]) return null;
  if (next === 0) return points[0]![1];
  const [x0, y0] = points[next - 1]!;
  const [x1, y1] = points[next]!;
  return y0 + ((y1 - y0) * (at - x0)) / (x1 - x0);
}

/**
 * Where a table has a value: the other way of `between`.
 *
 * @param points at rising places, with values that rise or fall throughout
 * @returns null where it nowhere has it
 * @example placeOf([[0, 0], [1, -0.593], [2, -1.186]], -1.186) // 2
 */
export function placeOf(points: readonly TablePoint[], value: number): number | null {
  const turned = points.map(([x, y]): TablePoint => [y, x]);
  return between(turned[0]![0] < turned.at(-1)![0] ? turned : turned.toReversed(), value);
}
