import { oneOf } from '@steady-scatter/words/things';
import { say } from '@steady-scatter/words/server';
import {
  EVENTS,
  isLaterSchema,
  readInput,
  type EventAppend,
  type EventKind,
  type EventPage,
  type Kind,
  type KindName,
  type StoredEvent,
} from '@steady-scatter/contract';
import { isDeepStrictEqual } from 'node:util';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import { ZodError } from 'zod';
import { changedBy, type Actor } from '../actor.ts';
import { kindNamed } from '../checking/stored.ts';
import { DocumentRow, EventRow } from '../models/index.ts';
import { notFound, plainProblem } from '../problems/HttpProblem.ts';
import { invalid, invalidField } from '../problems/invalid.ts';
import { summaryModel } from '../models/summaries.ts';
import { readStored, UnreadableRow } from './readStored.ts';
import { putApplied } from './applied.ts';
import { dropLine } from './summaries.ts';
import { transact } from './transact.ts';

export type AnyEvent = StoredEvent<unknown>;

/** What can be done with what a crew measures or does, whatever its kind: nothing but saying it, and reading it. */
export interface EventService {
  append(actor: Actor, event: EventKind, asked: EventAppend): Promise<AnyEvent>;
  list(
    actor: Actor,
    event: EventKind,
    query: {
      readonly subject?: readonly string[] | undefined;
      readonly after?: string | undefined;
      readonly limit: number;
    },
  ): Promise<EventPage<unknown>>;
}

/** How far the clock of a device may run ahead of this one, ms. */
const AHEAD_MS = 60 * 60 * 1000;

const wireOf = (event: EventKind, row: EventRow, input: unknown): AnyEvent => ({
  id: row.id,
  subject: row.subjectId,
  first: row.firstId,
  occurredAt: row.occurredAt.toISOString(),
  recordedAt: row.recordedAt.toISOString(),
  schemaVersion: event.schemaVersion,
  isSample: row.isSample,
  userId: row.byUser,
  deviceId: row.byDevice,
  input,
});

/** What is said of a document, read strictly. */
function readSaid(event: EventKind, { schemaVersion, input }: EventAppend, subject: unknown): unknown {
  try {
    return readInput(
      { ...event, evaluate: (said) => event.evaluate(said, subject) },
      { schemaVersion, input },
    );
  } catch (error) {
    throw error instanceof ZodError ? invalid(error) : error;
  }
}

/** What is asked for as it would be read if it were stored; null where it cannot be read. */
function toRead(event: EventKind, { id, schemaVersion, input }: EventAppend): unknown {
  try {
    return readStored(event, { id, schemaVersion, input: JSON.stringify(input) });
  } catch {
    return null;
  }
}

/** Rows of every kind of event in the database: each is checked, stored once, and stays as it came. */
export function eventService(sequelize: Sequelize, now: () => Date = () => new Date()): EventService {
  /** The document that something is said of; nobody deletes it meanwhile. */
  async function subjectOf({ crewId }: Actor, event: EventKind, id: string, transaction: Transaction) {
    const where = { id, crewId, kind: [...event.subjects] };
    const row = await DocumentRow.findOne({ where, transaction, lock: transaction.LOCK.SHARE });
    if (!row) throw notFound(oneOf(event.subjects[0]!));
    return { row, kind: kindNamed(row.kind as KindName) };
  }

  /** What a row says anew is of the same document; it may come later than the row. */
  async function checkFirst(
    event: EventKind,
    of: Kind,
    { id, first, subject }: EventAppend,
    transaction: Transaction,
  ) {
    if (first === null) return;
    if (first === id) throw invalidField('first', 'event.itself', say('server.event.ownFirst'));
    const named = await EventRow.findOne({ where: { id: first }, transaction });
    if (named && (named.kind !== event.name || named.subjectId !== subject))
      throw invalidField('first', 'event.other', say('server.event.other', { one: oneOf(event.name), of: oneOf(of.name) })); // prettier-ignore
  }

  /** What a row was made as until it was done is not open any more. */
  async function closeMade(
    actor: Actor,
    { madeAs }: EventKind,
    row: { id: string; input: unknown },
    transaction: Transaction,
  ) {
    // prettier-ignore
    if (!madeAs) return;
    const id = madeAs.idOf(row);
    const where = { id, crewId: actor.crewId, kind: madeAs.kind, deletedAt: null };
    const gone = { deletedAt: now(), ...changedBy(actor) };
    const [closed] = await DocumentRow.update(gone, { where, silent: true, transaction });
    if (closed > 0) await dropLine(summaryModel(sequelize, kindNamed(madeAs.kind)), [id], transaction);
  }

  /** The row that stands under an id, where it says the same; under the id of anything else nothing can be said. */
  function standing(row: EventRow, { crewId }: Actor, event: EventKind, asked: EventAppend): AnyEvent {
    const isSameHead =
      row.crewId === crewId &&
      row.kind === event.name &&
      row.subjectId === asked.subject &&
      row.firstId === asked.first &&
      row.occurredAt.toISOString() === asked.occurredAt;
    if (!isSameHead) throw plainProblem('id-taken');
    const input = readStored(event, row);
    const said = toRead(event, asked);
    if (!isDeepStrictEqual(input, said)) throw plainProblem('id-taken');
    return wireOf(event, row, input);
  }

  return {
    append: (actor, event, asked) =>
      transact(sequelize, async (transaction) => {
        const { id, subject, first, occurredAt, schemaVersion } = asked;
        if (isLaterSchema(event, schemaVersion)) throw plainProblem('later-version');
        const there = await EventRow.findOne({ where: { id }, transaction });
        if (there) return standing(there, actor, event, asked);
        const { row: of, kind } = await subjectOf(actor, event, subject, transaction);
        if (of.deletedAt)
          throw plainProblem(
            'subject-deleted',
            say('server.event.deleted', { of: oneOf(kind.name), one: oneOf(event.name) }),
          );
        const recordedAt = now();
        if (Date.parse(occurredAt) > recordedAt.getTime() + AHEAD_MS)
          throw invalidField(
            'occurredAt',
            'event.future',
            say('server.event.later', { one: oneOf(event.name) }),
          );
        await checkFirst(event, kind, asked, transaction);
        const said = readSaid(event, asked, readStored(kind, of));
        const row = await EventRow.create(
          {
            id,
            crewId: actor.crewId,
            kind: event.name,
            subjectId: subject,
            firstId: first,
            occurredAt: new Date(occurredAt),
            recordedAt,
            // As it came: what reads it upgrades it.
            schemaVersion,
            isSample: false,
            input: JSON.stringify(schemaVersion === event.schemaVersion ? said : asked.input),
            byUser: actor.userId,
            byDevice: actor.deviceId,
          },
          { transaction },
        );
        await closeMade(actor, event, { id, input: said }, transaction);
        if (event.name === EVENTS.applications.name) await putApplied(actor.crewId, first ?? id, transaction);
        return wireOf(event, row, said);
      }),
    async list({ crewId }, event, { subject, after, limit }) {
      const where = {
        crewId,
        kind: event.name,
        ...(subject && { subjectId: [...subject] }),
        ...(after && { seq: { [Op.gt]: after } }),
      };
      const rows = await EventRow.findAll({ where, order: [['seq', 'ASC']], limit: limit + 1 });
      const page = rows.slice(0, limit);
      const read = page.map((row) => {
        try {
          return { id: row.id, event: wireOf(event, row, readStored(event, row)) };
        } catch (error) {
          if (error instanceof UnreadableRow) return { id: row.id, event: null };
          throw error;
        }
      });
      return {
        events: read.flatMap((each) => (each.event ? [each.event] : [])),
        unreadable: read.flatMap((each) => (each.event ? [] : [each.id])),
        next: rows.length > limit ? String(page.at(-1)!.seq) : null,
      };
    },
  };
}
