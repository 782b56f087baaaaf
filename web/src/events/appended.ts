import {
  EVENTS,
  MAX_EVENTS,
  MAX_READ,
  type EventAppend,
  type EventKind,
  type EventName,
  type EventPage,
  type StoredEvent,
} from '@steady-scatter/contract';
import type { AppendedRow } from '@steady-scatter/core/fields';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { connectionStore } from '../api/connection.ts';
import { callEvents } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import {
  aboutDocument,
  outbox,
  useOutbox,
  useWaiting,
  type RowEntry,
  type Saving,
  type Waiting,
} from '../outbox/index.ts';

/** A row as it is read here: one that waits has no more than this. */
export interface Row<Input> extends AppendedRow {
  readonly subject: string;
  readonly input: Input;
}

type InputOfEvent<Name extends EventName> =
  (typeof EVENTS)[Name] extends EventKind<infer Input> ? Input : never;

/** Under these stand the rows of one document, and all of them. */
const keysOf = (event: EventName) => ({
  all: [event, 'all'],
  of: (subject: string) => [event, 'of', subject],
  several: (subjects: readonly string[]) => [event, 'several', ...subjects],
});

/** Of which documents: all of them, one, or several. */
type Subjects = string | readonly string[] | null;

const isOf = (subjects: Subjects, id: string): boolean =>
  subjects === null || (typeof subjects === 'string' ? subjects === id : subjects.includes(id));

const keyOf = (event: EventName, subjects: Subjects) => {
  const keys = keysOf(event);
  if (subjects === null) return keys.all;
  return typeof subjects === 'string' ? keys.of(subjects) : keys.several(subjects);
};

/** As many documents as one request may ask for. */
const inBatches = (subjects: Subjects): (string | undefined)[] => {
  if (subjects === null || typeof subjects === 'string') return [subjects ?? undefined];
  return Array.from({ length: Math.ceil(subjects.length / MAX_READ) }, (_, index) => subjects.slice(index * MAX_READ, (index + 1) * MAX_READ).join()); // prettier-ignore
};

/** Rows as they stand on the server, page after page: of one document, or all. */
async function readPages<Name extends EventName>(
  name: Name,
  subject: string | undefined,
  signal?: AbortSignal,
): Promise<Row<InputOfEvent<Name>>[]> {
  const rows: StoredEvent<InputOfEvent<Name>>[] = [];
  let after: string | undefined;
  do {
    const query = { limit: MAX_EVENTS, ...(subject && { subject }), ...(after && { after }) };
    // oxlint-disable-next-line no-await-in-loop -- one page after the other
    const page = (await callEvents(EVENTS[name], 'list', { query, ...(signal && { signal }) })) as EventPage<InputOfEvent<Name>>; // prettier-ignore
    rows.push(...page.events);
    after = page.next ?? undefined;
  } while (after !== undefined);
  return rows;
}

/** The same of as many documents as there are. */
async function readRows<Name extends EventName>(name: Name, subjects: Subjects, signal?: AbortSignal) {
  const batches = await Promise.all(inBatches(subjects).map((subject) => readPages(name, subject, signal)));
  return batches.flat();
}

/** The same with those that were appended here and wait. */
function withWaiting<Input>(
  name: EventName,
  subjects: Subjects,
  rows: readonly Row<Input>[],
  waiting: readonly Waiting[],
): readonly Row<Input>[] {
  const known = new Set(rows.map(({ id }) => id));
  const more = waiting.flatMap(({ entry }) => (entry.what === 'row' && entry.event === name && isOf(subjects, entry.row.subject) && !known.has(entry.row.id) ? [entry.row as unknown as Row<Input>] : [])); // prettier-ignore
  return more.length === 0 ? rows : [...rows, ...more];
}

const waitingNow = (): Waiting[] => outbox.get().map(([, waiting]) => waiting);

/** Every row of a kind as it stands on the server now, and those that wait here. */
export const allRows = async <Name extends EventName>(name: Name): Promise<readonly Row<InputOfEvent<Name>>[]> =>
  withWaiting(name, null, await readRows(name, null), waitingNow()); // prettier-ignore

const LOOK_AGAIN_MS = 3000;

/**
 * What was appended: of one document, of several, or of all; what waits here is among it.
 *
 * @param subjects null: all
 * @param how watched: somebody may be at it on another device; off: it is not asked for
 */
export function useRows<Name extends EventName>(
  name: Name,
  subjects: Subjects,
  { isWatched = false, isOff = false }: { readonly isWatched?: boolean; readonly isOff?: boolean } = {},
) {
  const asked = useQuery<Row<InputOfEvent<Name>>[]>(
    {
      queryKey: keyOf(name, subjects),
      queryFn: ({ signal }) => readRows(name, subjects, signal),
      enabled: !isOff,
      refetchInterval: isWatched ? LOOK_AGAIN_MS : false,
    },
    queries,
  );
  const waiting = useOutbox();
  const { data, error, refetch } = asked;
  const rows = useMemo(
    () => data && withWaiting(name, subjects, data, waiting),
    [name, subjects, data, waiting],
  );
  return { data: rows, error, refetch };
}

/** What is known of the rows of a document by now; empty: nothing is. */
export const knownRows = <Name extends EventName>(name: Name, subject: string): readonly Row<InputOfEvent<Name>>[] =>
  withWaiting(name, subject, queries.getQueryData<Row<InputOfEvent<Name>>[]>(keysOf(name).of(subject)) ?? [], waitingNow()); // prettier-ignore

async function adopt(name: EventName, stored: StoredEvent<unknown>): Promise<void> {
  const { all, of, several } = keysOf(name);
  const key = of(stored.subject);
  // An answer that is still on its way may be of the time before.
  await queries.cancelQueries({ queryKey: key });
  const rows = queries.getQueryData<StoredEvent<unknown>[]>(key);
  if (rows) queries.setQueryData(key, [...rows.filter(({ id }) => id !== stored.id), stored]);
  // Whoever waited for that first answer still does.
  else void queries.invalidateQueries({ queryKey: key });
  for (const queryKey of [all, several([]), ['stock'], ['ledger']])
    void queries.invalidateQueries({ queryKey });
}

/** Sends a row that was appended here. */
export async function sendRow({ event, row, installation }: RowEntry): Promise<void> {
  const stored = await callEvents(EVENTS[event], 'append', { body: row, installation });
  await adopt(event, stored as StoredEvent<unknown>);
}

/**
 * Appends a row: held on this device at once, and sent in its order.
 *
 * @param of what a person calls it, and what has to be on the server before it
 */
export function append(
  event: EventName,
  row: EventAppend,
  { name, needs }: { readonly name: string; readonly needs: readonly string[] },
): Saving {
  return outbox.add({
    id: newId(),
    what: 'row',
    about: aboutDocument(event, row.id),
    needs,
    name,
    at: new Date().toISOString(),
    installation: connectionStore.get().installation,
    event,
    row,
  });
}

/** What waits here of a row; undefined: it is on the server, or nowhere. */
export const useWaitingRow = (event: EventName, id: string): Waiting | undefined =>
  useWaiting(aboutDocument(event, id));
