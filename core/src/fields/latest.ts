/** A row of what is only ever appended: it says something for the first time, or anew of one that was said before. */
export interface AppendedRow {
  readonly id: string;
  /** The id of the first row that this one says anew; null: it is the first itself. */
  readonly first: string | null;
  /** When it happened, ISO 8601 in UTC to the millisecond. */
  readonly occurredAt: string;
}

/** In the order in which things happened: what happened at the same moment by its id. Moments are of one length. */
const placeOf = ({ occurredAt, id }: AppendedRow): string => `${occurredAt} ${id}`;
const byTime = (a: AppendedRow, b: AppendedRow): number =>
  Number(placeOf(a) > placeOf(b)) - Number(placeOf(a) < placeOf(b));

/** The id of the thing that a row speaks of, also where it names a row that says that thing anew itself. */
function rootOf(id: string, firstBy: ReadonlyMap<string, string | null>): string {
  const seen = new Set<string>();
  let root = id;
  for (let next = firstBy.get(root); next && !seen.has(next); next = firstBy.get(root)) {
    seen.add(root);
    root = next;
  }
  return root;
}

/**
 * What appended rows say by now: of each thing its latest row, in the order in which the things were first said. The order in which
 * rows came does not matter, and one that came twice counts once.
 *
 * @param rows of one subject, in any order; what a row says anew may be missing
 * @example latestOf([{ id: 'b', first: 'a', occurredAt: '2026-04-18T09:00:00.000Z' }, { id: 'a', first: null, occurredAt: '2026-04-18T08:00:00.000Z' }]).map(({ id }) => id) // ['b']
 */
export function latestOf<Row extends AppendedRow>(rows: readonly Row[]): Row[] {
  const firstBy = new Map(rows.map(({ id, first }) => [id, first]));
  const things = new Map<string, Row[]>();
  for (const row of rows.toSorted(byTime)) {
    const thing = rootOf(row.id, firstBy);
    things.set(thing, [...(things.get(thing) ?? []), row]);
  }
  const firstOf = ([id, said]: readonly [string, Row[]]): Row =>
    said.find((row) => row.id === id) ?? said[0]!;
  return [...things].toSorted((a, b) => byTime(firstOf(a), firstOf(b))).map(([, said]) => said.at(-1)!);
}
