/**
 * Rows by what they have in common, each group and the groups in the order in which they come.
 *
 * @example grouped([3, 4, 5], (n) => n % 2).get(1) // [3, 5]
 */
export function grouped<Row, Key>(rows: readonly Row[], keyOf: (row: Row) => Key): Map<Key, Row[]> {
  const groups = new Map<Key, Row[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const group = groups.get(key);
    if (group) group.push(row);
    else groups.set(key, [row]);
  }
  return groups;
}
