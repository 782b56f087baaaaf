import type { InputError } from '@steady-scatter/core/errors';
import type { AppendedRow, UpgradeStep } from '@steady-scatter/core/fields';
import { versionAfter } from '@steady-scatter/core/fields';
import * as z from 'zod';
import { MAX_READ } from '../documents.ts';
import { once } from '../kinds/kind.ts';
import type { KindName } from '../kinds/index.ts';
import { none, nothing, type Route } from '../route.ts';
import { spaced } from '../spaced.ts';

/** Most rows that are read at once. */
export const MAX_EVENTS = 500;

/** Everything that is told of something that is measured or done: route, description, reading and backup are made from it. */
interface EventEntry<Input> {
  /** Its name in code and files: the plural, as in `testRuns`. */
  readonly name: string;
  readonly path: `/api/${string}`;
  /** The kinds of the documents that it belongs to. */
  readonly subjects: readonly KindName[];
  /** The kind of the document that it was made as until it was done, and its id; it goes when the row is appended. */
  readonly madeAs?: {
    readonly kind: KindName;
    idOf(row: { readonly id: string; readonly input: Input }): string;
  };
  /** Reads a row of this version; what it does not know it leaves out. */
  readonly schema: z.ZodType<Input>;
  /** How rows of earlier versions become one of this version, each time they are read: what is stored stays as it came. */
  readonly upgrades: readonly UpgradeStep[];
  /** What core cannot read of it. @param subject what it belongs to, as typed */
  evaluate(input: Input, subject: unknown): { readonly errors: readonly InputError[] };
}

/** Something that is measured or done: its rows are appended, and nothing changes or deletes them. */
export interface EventKind<Input = unknown> extends EventEntry<Input> {
  /** The version of its schema: 1 before the first upgrade step. */
  readonly schemaVersion: number;
}

/** Makes an event kind of its entry. */
export const eventOf = <Input>(entry: EventEntry<Input>): EventKind<Input> => ({
  ...entry,
  schemaVersion: versionAfter(entry.upgrades),
});

const moment = z.iso
  .datetime({ error: 'This has to be a moment in UTC, for example 2026-04-18T08:00:00.000Z.' })
  .transform((text) => new Date(text).toISOString());
const uuid = z.uuid({ error: 'This has to be an id: a UUID.' });

/** What is appended: ids are UUIDs of version 7, made by the client, so that posting twice is harmless. */
export const eventAppend = z.strictObject({
  id: uuid,
  /** The document that it belongs to. */
  subject: uuid,
  /** The row that this one says anew: the first of it, never one that says it anew itself. */
  first: uuid.nullable(),
  /** When it happened, by the clock of the device. */
  occurredAt: moment,
  schemaVersion: z.int().min(1),
  input: z.record(z.string(), z.unknown()),
});
export type EventAppend = z.output<typeof eventAppend>;

/** A row as it stands: at the version of the schema that is current. */
export interface StoredEvent<Input> extends AppendedRow {
  readonly subject: string;
  /** When it came, by the clock of the server. */
  readonly recordedAt: string;
  readonly schemaVersion: number;
  readonly isSample: boolean;
  /** Who measured or did it; null: whoever was at the machine itself, or before people signed in. */
  readonly userId: string | null;
  readonly deviceId: string | null;
  readonly input: Input;
}

const storedEvent = <Input>({ schema }: EventKind<Input>): z.ZodType<StoredEvent<Input>> =>
  z.object({
    id: z.string(),
    subject: z.string(),
    first: z.string().nullable(),
    occurredAt: z.string(),
    recordedAt: z.string(),
    schemaVersion: z.int(),
    isSample: z.boolean(),
    userId: z.string().nullable(),
    deviceId: z.string().nullable(),
    input: schema,
  });

/** Rows in the order in which they came, which of them cannot be read, and what to ask for the next ones with; null: those were the last. */
export interface EventPage<Input> {
  readonly events: readonly StoredEvent<Input>[];
  readonly unreadable: readonly string[];
  readonly next: string | null;
}

/** Rows of one document or of several, or of all; `after` what was handed over last. */
const eventQuery = z.strictObject({
  subject: z
    .string()
    .transform((ids) => ids.split(','))
    .pipe(z.array(uuid).min(1).max(MAX_READ))
    .optional(),
  after: z
    .string()
    .regex(/^\d{1,15}$/, { error: 'This has to be what the page before named as the next one.' })
    .optional(),
  limit: z.coerce
    .number()
    .int()
    .min(1)
    .max(MAX_EVENTS, { error: `At most ${MAX_EVENTS} at once.` })
    .default(MAX_EVENTS),
});
export type EventQuery = z.output<typeof eventQuery>;

function routesOf(event: EventKind) {
  const { path, name } = event;
  return {
    append: {
      method: 'post',
      path,
      summary: `Appends one of ${spaced(name)}; the same one twice is harmless`,
      params: nothing,
      query: nothing,
      body: eventAppend.extend({ input: event.schema }),
      answer: storedEvent(event),
    },
    list: {
      method: 'get',
      path,
      summary: `Hands over ${spaced(name)} in the order in which they came`,
      params: nothing,
      query: eventQuery,
      body: none,
      answer: z.object({
        events: z.array(storedEvent(event)),
        unreadable: z.array(z.string()),
        next: z.string().nullable(),
      }),
    },
  } as const satisfies Record<string, Route>;
}

/** The routes of what is measured or done. */
export const eventRoutes: typeof routesOf = once(routesOf);
export type EventVerb = keyof ReturnType<typeof eventRoutes>;
