import * as z from 'zod';
import { listQuery } from './listQuery.ts';
import { once, type Columns, type Kind } from './kinds/kind.ts';
import type { ColumnsOf, InputOf } from './kinds/index.ts';
import type { Route } from './route.ts';
import { none, nothing } from './route.ts';
import { spaced } from './spaced.ts';

/** Ids are UUIDs of version 7, made by the client, so that a repeated write is harmless. */
const byId = z.object({ id: z.uuid({ error: 'This has to be an id: a UUID.' }) });

/** Most documents in one batch: what fits the size of a request. */
export const MAX_IN_BATCH = 500;
/** Most documents that are read at once. */
export const MAX_READ = 100;

/** One document as it is stored, at the version of the schema that is current. */
export interface StoredDocument<Input> {
  readonly id: string;
  /** Counts its changes: a write names the one that it saw. */
  readonly version: number;
  readonly schemaVersion: number;
  /** Part of the demo: made up, and marked so wherever it is shown. */
  readonly isSample: boolean;
  readonly input: Input;
  readonly changedAt: string;
}
export type DocumentOf<Of> = StoredDocument<InputOf<Of>>;

/** What a list tells of every document, whatever its kind. */
export interface SummaryHead {
  readonly id: string;
  readonly version: number;
  readonly isSample: boolean;
  readonly name: string;
  readonly changedAt: string;
}
/** A line of a list; one that cannot be read any more has its name alone. */
export type SummaryOf<Of> =
  | (SummaryHead & { readonly isReadable: true } & ColumnsOf<Of>)
  | (SummaryHead & { readonly isReadable: false });
export type ReadableOf<Of> = Extract<SummaryOf<Of>, { isReadable: true }>;

/** A page of a list, and what to ask for the next one with; null: that was the last. */
export interface Page<Line> {
  readonly items: readonly Line[];
  readonly next: string | null;
  readonly total: number;
}

const head = {
  id: z.string(),
  version: z.int(),
  isSample: z.boolean(),
  name: z.string(),
  changedAt: z.string(),
};

/** The document of a kind as it goes over the wire. What a later version added is passed over. */
export const documentOf = <Input>(kind: Kind<string, Input>): z.ZodType<StoredDocument<Input>> =>
  z.object({
    id: z.string(),
    version: z.int(),
    schemaVersion: z.int(),
    isSample: z.boolean(),
    input: kind.schema,
    changedAt: z.string(),
  });

const columnsOf = (columns: Columns): Record<string, z.ZodType> =>
  Object.fromEntries(Object.entries(columns).map(([name, { schema }]) => [name, schema]));

const lineOf = ({ columns }: Kind) =>
  z.discriminatedUnion('isReadable', [
    z.object({ ...head, isReadable: z.literal(true), ...columnsOf(columns) }),
    z.object({ ...head, isReadable: z.literal(false) }),
  ]);

const pageOf = (kind: Kind) =>
  z.object({ items: z.array(lineOf(kind)), next: z.string().nullable(), total: z.int() });

const writing = { schemaVersion: z.int().min(1), input: z.record(z.string(), z.unknown()) };

/** What is written of a document: the version last seen, 0 for a new one; the schema that it was written by; what was typed. */
export const documentWrite = z.strictObject({ version: z.int().min(0), ...writing });
/** New documents, all at once. */
export const documentBatch = z.strictObject({
  schemaVersion: writing.schemaVersion,
  documents: z
    .array(z.strictObject({ id: z.uuid(), input: writing.input }))
    .min(1)
    .max(MAX_IN_BATCH),
});
/** Ids of documents that are to go, all at once. */
export const documentIds = z.strictObject({ ids: z.array(z.uuid()).min(1).max(5000) });

export type DocumentWrite = z.infer<typeof documentWrite>;
export type DocumentBatch = z.infer<typeof documentBatch>;

/** What stands in the database of a document, whether it can be read or not. */
export const rawDocument = z.object({
  id: z.string(),
  kind: z.string(),
  version: z.int(),
  schemaVersion: z.int(),
  changedAt: z.string(),
  /** The text as it is stored. */
  raw: z.string(),
});
export type RawDocument = z.infer<typeof rawDocument>;

/** Something that was taken off the list, and when: it can be restored. */
const removedLine = z.object({
  id: z.string(),
  name: z.string(),
  isSample: z.boolean(),
  removedAt: z.string(),
});
export type RemovedLine = z.infer<typeof removedLine>;
const removedLines = z.object({ items: z.array(removedLine) });
/** Most that are listed of what was taken off a list: the last ones. */
export const MAX_REMOVED = 100;

/** Documents that were asked for by their ids, and those of them that cannot be read. */
const several = (kind: Kind) =>
  z.object({ documents: z.array(documentOf(kind)), unreadable: z.array(z.string()) });

const idList = z.strictObject({
  ids: z
    .string()
    .transform((ids) => ids.split(','))
    .pipe(z.array(z.uuid()).min(1).max(MAX_READ)),
});

function routesOf(kind: Kind) {
  const { path, name } = kind;
  const many = spaced(name);
  const single = { path: `${path}/:id`, params: byId, query: nothing, body: none } as const;
  return {
    list: {
      method: 'get',
      path,
      summary: `Lists the ${many} that are stored, a page at a time`,
      params: nothing,
      query: listQuery,
      body: none,
      answer: pageOf(kind),
    },
    several: {
      method: 'get',
      path: `${path}/documents`,
      summary: `Reads some ${many} by their ids`,
      params: nothing,
      query: idList,
      body: none,
      answer: several(kind),
    },
    removed: {
      method: 'get',
      path: `${path}/removed`,
      summary: `Lists the ${many} that were taken off the list last; each can be restored`,
      params: nothing,
      query: nothing,
      body: none,
      answer: removedLines,
    },
    read: {
      ...single,
      method: 'get',
      summary: `Reads one of ${many} as it was typed`,
      answer: documentOf(kind),
    },
    raw: {
      ...single,
      path: `${path}/:id/raw`,
      method: 'get',
      summary: `Hands over one of ${many} as it is stored, also one that cannot be read`,
      answer: rawDocument,
    },
    write: {
      ...single,
      method: 'put',
      summary: `Stores a new one of ${many} or changes one; the same write twice is harmless`,
      body: documentWrite.extend({ input: kind.schema }),
      answer: documentOf(kind),
    },
    remove: {
      ...single,
      method: 'delete',
      summary: `Takes one of ${many} off the list; it can be restored`,
      answer: none,
    },
    restore: {
      ...single,
      method: 'post',
      path: `${path}/:id/restore`,
      summary: `Puts a deleted one of ${many} back on the list`,
      answer: documentOf(kind),
    },
    addMany: {
      method: 'post',
      path: `${path}/batch`,
      summary: `Stores many new ${many} at once, all of them or none; twice is harmless`,
      params: nothing,
      query: nothing,
      body: documentBatch,
      answer: none,
    },
    removeMany: {
      method: 'post',
      path: `${path}/batch/delete`,
      summary: `Takes many ${many} off the list at once; each can be restored`,
      params: nothing,
      query: nothing,
      body: documentIds,
      answer: none,
    },
  } as const satisfies Record<string, Route>;
}

/** The routes of a kind: what a crew stores, changes, and deletes with undo. */
export const documentRoutes: typeof routesOf = once(routesOf);

export type DocumentRoutes = ReturnType<typeof documentRoutes>;
export type DocumentVerb = keyof DocumentRoutes;
