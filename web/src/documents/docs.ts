import {
  MAX_PAGE,
  MAX_READ,
  type Kind,
  type ListAsk,
  type Page,
  type ReadableOf,
  type RemovedLine,
  type StoredDocument,
  type SummaryOf,
} from '@steady-scatter/contract';
import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { callDocuments } from '../api/lazyCall.ts';
import { Unreachable } from '../api/errors.ts';
import { queries } from '../api/queries.ts';
import { aboutDocument, useWaiting, type Waiting } from '../outbox/index.ts';
import type { Asked, DocumentKind } from './documentKind.ts';
import { inputOf } from './savedInput.ts';

/** A stored document as it is handed about. */
export type Doc<Input> = StoredDocument<Input>;

/** Under these stand a kind's lists, all of its documents, and each one by its id. */
export const keysOf = ({ name }: Kind) => ({
  lists: [name, 'list'],
  list: (ask: ListAsk) => [name, 'list', ask],
  all: [name, 'all'],
  one: (id: string | null) => [name, 'one', id],
});

const pageOf = async <Of extends Kind>(
  kind: Of,
  ask: ListAsk,
  signal?: AbortSignal,
): Promise<Page<SummaryOf<Of>>> =>
  (await callDocuments(kind, 'list', { query: ask, ...(signal && { signal }) })) as Page<SummaryOf<Of>>;

/** Documents by their ids, as many at a time as the server hands over; what cannot be read is left out. */
async function several<Input>(
  kind: Kind,
  ids: readonly string[],
  signal?: AbortSignal,
): Promise<Doc<Input>[]> {
  const batches = Array.from({ length: Math.ceil(ids.length / MAX_READ) }, (_, index) => ids.slice(index * MAX_READ, (index + 1) * MAX_READ)); // prettier-ignore
  const read = await Promise.all(
    batches.map((batch) =>
      callDocuments(kind, 'several', { query: { ids: batch.join(',') }, ...(signal && { signal }) }),
    ),
  );
  const byId = new Map((read as { documents: Doc<Input>[] }[]).flatMap(({ documents }) => documents).map((doc) => [doc.id, doc])); // prettier-ignore
  return ids.flatMap((id) => byId.get(id) ?? []);
}

/** Every line of a list that can be read, page after page. */
export async function allLines<Of extends Kind>(
  { kind }: { readonly kind: Of },
  ask: Pick<ListAsk, 'filter'> = {},
  signal?: AbortSignal,
): Promise<ReadableOf<Of>[]> {
  const lines: ReadableOf<Of>[] = [];
  let cursor: string | undefined;
  do {
    // oxlint-disable-next-line no-await-in-loop -- one page after the other
    const { items, next } = await pageOf(
      kind,
      { ...ask, limit: MAX_PAGE, ...(cursor && { cursor }) },
      signal,
    );
    lines.push(...readable<Of>(items));
    cursor = next ?? undefined;
  } while (cursor !== undefined);
  return lines;
}

/** Every document of a kind, in the order of its list. */
async function allOf<Input>(kind: Kind, signal?: AbortSignal): Promise<Doc<Input>[]> {
  const lines = await allLines({ kind }, {}, signal);
  return several(kind, lines.map(({ id }) => id), signal); // prettier-ignore
}

/** Every document of a kind as they stand on the server now. */
export const allDocs = <Input>({ kind }: Pick<DocumentKind<Input>, 'kind'>): Promise<Doc<Input>[]> =>
  allOf<Input>(kind);

/** All documents of a kind: for what has to look at each of them. */
export const useDocs = <Input>({ kind }: Pick<DocumentKind<Input>, 'kind'>) =>
  useQuery<Doc<Input>[]>(
    { queryKey: keysOf(kind).all, queryFn: ({ signal }) => allOf<Input>(kind, signal) },
    queries,
  );

/** Some documents of a kind, by their ids. */
export const useSome = <Input>({ kind }: DocumentKind<Input>, ids: readonly string[]) =>
  useQuery<Doc<Input>[]>(
    {
      queryKey: [...keysOf(kind).all, ids],
      queryFn: ({ signal }) => several<Input>(kind, ids, signal),
      enabled: ids.length > 0,
      placeholderData: keepPreviousData,
    },
    queries,
  );

/** The list of a kind, page after page; what was shown stays until the next comes. */
export const useList = <Of extends Kind>(
  { kind }: { readonly kind: Of },
  ask: ListAsk = {},
  enabled = true,
) =>
  useInfiniteQuery<
    Page<SummaryOf<Of>>,
    Error,
    { lines: SummaryOf<Of>[]; total: number },
    readonly unknown[],
    string | null
  >(
    {
      queryKey: keysOf(kind).list(ask),
      queryFn: ({ pageParam, signal }) =>
        pageOf(kind, { ...ask, ...(pageParam && { cursor: pageParam }) }, signal),
      initialPageParam: null,
      getNextPageParam: ({ next }) => next,
      select: ({ pages }) => ({ lines: pages.flatMap(({ items }) => items), total: pages[0]?.total ?? 0 }),
      placeholderData: keepPreviousData,
      enabled,
    },
    queries,
  );

/** What was taken off the list of a kind last. */
export const useRemoved = ({ kind }: { readonly kind: Kind }, isOpen: boolean) =>
  useQuery<readonly RemovedLine[]>(
    {
      queryKey: [...keysOf(kind).lists, 'removed'],
      queryFn: async ({ signal }) =>
        ((await callDocuments(kind, 'removed', { signal })) as { items: RemovedLine[] }).items,
      enabled: isOpen,
    },
    queries,
  );

/** The lines of a list that can be read. */
export const readable = <Of extends Kind>(lines: readonly SummaryOf<Of>[]): ReadableOf<Of>[] =>
  lines.filter((line): line is ReadableOf<Of> => line.isReadable);

/** One of them as it stands on the server now. */
export const readDoc = async <Input>(
  { kind }: Pick<DocumentKind<Input>, 'kind'>,
  id: string,
  signal?: AbortSignal,
): Promise<Doc<Input>> =>
  (await callDocuments(kind, 'read', { params: { id }, ...(signal && { signal }) })) as Doc<Input>;

/** One of them to be put somewhere: as it stands on the server, or as it was seen last where nothing answers. */
export async function fetchDoc<Input>({ kind }: Pick<DocumentKind<Input>, 'kind'>, id: string): Promise<Doc<Input>> {
  const queryKey = keysOf(kind).one(id);
  try {
    return await queries.fetchQuery<Doc<Input>>({ queryKey, queryFn: ({ signal }) => readDoc<Input>({ kind }, id, signal) });
  } catch (error) {
    const seen = queries.getQueryData<Doc<Input>>(queryKey);
    if (seen && error instanceof Unreachable) return seen;
    throw error;
  }
} // prettier-ignore

const LOOK_AGAIN_MS = 3000;

/**
 * One of them as it is stored.
 *
 * @param id null: it is not asked for
 * @param isWatched somebody may be at it on another device
 */
export function useStored<Input>({ kind, isLive }: DocumentKind<Input>, id: string | null, isWatched = false): Asked<Input> {
  const { data, error, refetch } = useQuery<Doc<Input>>(
    {
      queryKey: keysOf(kind).one(id),
      queryFn: ({ signal }) => readDoc<Input>({ kind }, id ?? '', signal),
      enabled: id !== null,
      refetchInterval: ({ state: { data: seen } }) => (isWatched || (seen && isLive?.(seen.input)) ? LOOK_AGAIN_MS : false),
    },
    queries,
  );
  const waiting = useWaiting(aboutDocument(kind.name, id ?? ''));
  const shown = useMemo(() => withSaved(kind, data, waiting), [kind, data, waiting]);
  return { data: shown, error: shown ? null : error, refetch };
} // prettier-ignore

/** A document as it was saved here, where that has not reached the server yet; what was refused is not saved. */
function withSaved<Input>(kind: Kind<string, Input>, stored: Doc<Input> | undefined, waiting: Waiting | undefined): Doc<Input> | undefined {
  if (waiting?.entry.what !== 'document' || (waiting.refusal && stored)) return stored;
  const input = inputOf(kind, waiting.entry);
  if (input === null) return stored;
  const { documentId: id, base, at } = waiting.entry;
  return { ...(stored ?? { id, version: base.version, schemaVersion: kind.schemaVersion, isSample: false, changedAt: at }), input };
} // prettier-ignore

/** One of them; not asked for while there is no id. */
export function useDoc<Input>(kind: DocumentKind<Input>, id: string | null): Asked<Input> {
  const { parts } = kind;
  // oxlint-disable-next-line react/hooks, react/rules-of-hooks -- a kind is put together or it is not, for as long as there are pages
  return parts ? parts.useOne(id) : useStored(kind, id);
}

/**
 * Those of a kind that a filter of its list lets through.
 *
 * @param filter empty: all of them; null: they are not asked for
 */
export const useWhere = <Input>({ kind, isLive }: DocumentKind<Input>, filter: string | null) =>
  useQuery<Doc<Input>[]>(
    {
      queryKey: [...keysOf(kind).all, filter],
      async queryFn({ signal }) {
        const lines = await allLines({ kind }, filter ? { filter: [filter] } : {}, signal);
        return several<Input>(kind, lines.map(({ id }) => id), signal); // prettier-ignore
      },
      enabled: filter !== null,
      refetchInterval: ({ state: { data } }) => (data?.some(({ input }) => isLive?.(input)) ? LOOK_AGAIN_MS : false), // prettier-ignore
    },
    queries,
  );

/** Stores, deletes and restores documents of a kind, and refreshes what is shown of them. */
export function docActs<Input>({ kind, parts }: Pick<DocumentKind<Input>, 'kind' | 'parts'>) {
  const keys = keysOf(kind);
  const refresh = async () => {
    await Promise.all([keys.lists, keys.all].map((queryKey) => queries.invalidateQueries({ queryKey })));
  };
  /** Shows what somebody else stored as what stands there now. */
  const adopt = async (doc: Doc<Input>) => {
    // An answer that is still on its way may be of the time before.
    await queries.cancelQueries({ queryKey: keys.one(doc.id) });
    queries.setQueryData(keys.one(doc.id), doc);
    await refresh();
  };
  const show = parts?.adopt ?? adopt;
  const adopted = async (asked: Promise<unknown>): Promise<Doc<Input>> => {
    const doc = (await asked) as Doc<Input>;
    await adopt(doc);
    return doc;
  };
  return {
    async remove(id: string) {
      await callDocuments(kind, 'remove', { params: { id } });
      queries.removeQueries({ queryKey: keys.one(id) });
      await refresh();
    },
    restore: (id: string) => adopted(callDocuments(kind, 'restore', { params: { id } })),
    adopt: show,
    refresh,
  };
}
