import { oneOf } from '@steady-scatter/words/things';
import {
  MAX_REMOVED,
  type Kind,
  type Page,
  type RawDocument,
  type RemovedLine,
  type StoredDocument,
} from '@steady-scatter/contract';
import type { Json } from '@steady-scatter/core/fields';
import { ZodError } from 'zod';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import { changedBy, type Actor } from '../actor.ts';
import type { Checked } from '../checking/check.ts';
import { storedOf, type Stored } from '../checking/stored.ts';
import { DocumentRow, EventRow, LinkRow } from '../models/index.ts';
import { summaryModel } from '../models/summaries.ts';
import { HttpProblem, notFound, plainProblem, wouldLose } from '../problems/HttpProblem.ts';
import { invalid } from '../problems/invalid.ts';
import { listService, type AnyLine } from './lists.ts';
import { lineOfRow } from './projections.ts';
import { readStored, storedOrNull } from './readStored.ts';
import { dropLine, linksOf, putLine, rowOf } from './summaries.ts';
import { transact } from './transact.ts';

export type AnyDocument = StoredDocument<unknown>;

/** What can be done with what a crew stores, whatever its kind. */
export interface DocumentService extends ReturnType<typeof listService> {
  read(actor: Actor, kind: Kind, id: string): Promise<AnyDocument>;
  /** Those of these that are there, and which of them cannot be read. */
  several(
    actor: Actor,
    kind: Kind,
    ids: readonly string[],
  ): Promise<{ documents: AnyDocument[]; unreadable: string[] }>;
  /** Those that were taken off the list last. */
  removed(actor: Actor, kind: Kind): Promise<RemovedLine[]>;
  raw(actor: Actor, kind: Kind, id: string): Promise<RawDocument>;
  write(actor: Actor, kind: Kind, id: string, checked: Checked): Promise<AnyDocument>;
  remove(actor: Actor, kind: Kind, id: string): Promise<void>;
  restore(actor: Actor, kind: Kind, id: string): Promise<AnyDocument>;
  /** Stores new ones, all or none; those that are there already stay as they are. */
  addMany(actor: Actor, kind: Kind, checked: Checked): Promise<void>;
  /** Takes them off the list, all or none. */
  removeMany(actor: Actor, kind: Kind, ids: readonly string[]): Promise<void>;
}

export type { AnyLine, Page };

const absent = (kind: Kind) => notFound(oneOf(kind.name));

/** @param input what the row holds, where that was read already */
const wireOf = (kind: Kind, row: DocumentRow, input: unknown = readStored(kind, row)): AnyDocument => ({
  id: row.id,
  version: row.version,
  schemaVersion: kind.schemaVersion,
  isSample: row.isSample,
  input,
  changedAt: row.updatedAt.toISOString(),
});

/** What is written over what stands: a body of an earlier version leaves what that did not know. */
function over(kind: Kind, { earlier, ...stored }: Stored, standing: Json | null): Stored {
  if (earlier === null || standing === null) return { ...stored, earlier };
  try {
    return storedOf(kind, earlier, standing);
  } catch (error) {
    throw error instanceof ZodError ? invalid(error) : error;
  }
}

/** Refuses a change of what stands there that would lose something, or that what was measured for it forbids. */
async function guard(kind: Kind, { id, crewId }: DocumentRow, standing: Json | null, { input }: Stored, transaction: Transaction): Promise<void> {
  if (standing === null) return;
  const next: unknown = JSON.parse(input);
  const refused = kind.refuses?.(standing, next) ?? [];
  if (refused.length > 0) throw wouldLose(refused);
  const isOther = kind.refusesOnceMeasured?.(standing, next) ?? [];
  if (isOther.length === 0) return;
  if ((await EventRow.count({ where: { crewId, subjectId: id }, transaction })) > 0) throw wouldLose(isOther);
} // prettier-ignore

const newRow = (
  actor: Actor,
  kind: Kind,
  id: string,
  { input, schemaVersion }: Stored,
  isSample = false,
) => ({
  id,
  crewId: actor.crewId,
  kind: kind.name,
  version: 1,
  schemaVersion,
  isSample,
  input,
  deletedAt: null,
  ...changedBy(actor),
});

/** Stores new documents with their lines, in one transaction. */
export async function insertAll(
  {
    sequelize,
    actor,
    kind,
    isSample = false,
  }: { sequelize: Sequelize; actor: Actor; kind: Kind; isSample?: boolean },
  documents: Checked['documents'],
  transaction: Transaction,
): Promise<void> {
  const changedAt = new Date();
  const rows = documents.map(({ id, ...stored }) => ({
    stored,
    row: newRow(actor, kind, id ?? '', stored, isSample),
  }));
  await DocumentRow.bulkCreate(
    rows.map(({ row }) => ({ ...row, updatedAt: changedAt })),
    { transaction },
  );
  await summaryModel(sequelize, kind).bulkCreate(rows.map(({ row, stored }) => rowOf({ ...row, changedAt }, stored.line)), { transaction }); // prettier-ignore
  await LinkRow.bulkCreate(
    rows.flatMap(({ row, stored }) => linksOf(kind, row.id, stored.line)),
    { transaction },
  );
}

/**
 * Documents of every kind in the database. A repeated write is harmless, a write of an old version is refused with what stands there,
 * and deleting only marks, so that undo leaves everything as it was. A document and its line change in one transaction, the row
 * locked; a row that is not there yet is not looked for with a lock, which would hold up whoever else brings something new.
 */
export function documentService(sequelize: Sequelize): DocumentService {
  const find = ({ crewId }: Actor, kind: Kind, id: string, transaction?: Transaction) =>
    DocumentRow.findOne({
      where: { id, crewId, kind: kind.name },
      ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
    });
  const isThere = async ({ crewId }: Actor, kind: Kind, id: string, transaction: Transaction) =>
    (await DocumentRow.count({ where: { id, crewId, kind: kind.name }, transaction })) > 0;

  async function found(actor: Actor, kind: Kind, id: string): Promise<DocumentRow> {
    const row = await find(actor, kind, id);
    if (!row || row.deletedAt) throw absent(kind);
    return row;
  }
  const read = async (actor: Actor, kind: Kind, id: string) => wireOf(kind, await found(actor, kind, id));

  /** Puts what a row says by now on the list. */
  const list = (
    kind: Kind,
    row: DocumentRow,
    stored: Stored | null,
    transaction: Transaction,
    isNew = false,
  ) =>
    putLine(
      { model: summaryModel(sequelize, kind), kind },
      { ...row.get(), changedAt: row.updatedAt },
      stored?.line ?? lineOfRow(kind, row),
      { transaction, isNew },
    );

  async function insert(actor: Actor, kind: Kind, id: string, checked: Checked, transaction: Transaction) {
    if (checked.version !== 0) throw absent(kind);
    const [stored] = checked.documents;
    const row = await DocumentRow.create(newRow(actor, kind, id, stored!), { transaction });
    await list(kind, row, stored!, transaction, true);
    return wireOf(kind, row, JSON.parse(stored!.input));
  }

  async function update(
    actor: Actor,
    kind: Kind,
    row: DocumentRow,
    checked: Checked,
    transaction: Transaction,
  ) {
    const standing = storedOrNull(kind, row);
    const stored = over(kind, checked.documents[0]!, standing);
    if (!row.deletedAt && standing !== null && JSON.stringify(standing) === stored.input)
      return wireOf(kind, row, standing);
    if (row.deletedAt || row.version !== checked.version) {
      const theirs = row.deletedAt || standing === null ? null : wireOf(kind, row, standing);
      throw new HttpProblem('changed-elsewhere', { theirs });
    }
    await guard(kind, row, standing, stored, transaction);
    const { input, schemaVersion } = stored;
    await row.update(
      { input, schemaVersion, version: row.version + 1, ...changedBy(actor) },
      { transaction },
    );
    await list(kind, row, stored, transaction);
    return wireOf(kind, row, JSON.parse(input));
  }

  /** Marks a row as deleted, or as there again; in one transaction, so that no write slips between the look and the mark. */
  const mark = (actor: Actor, kind: Kind, id: string, deletedAt: Date | null) =>
    transact(sequelize, async (transaction) => {
      const row = await find(actor, kind, id, transaction);
      if (!row) throw absent(kind);
      if (Boolean(row.deletedAt) === Boolean(deletedAt)) return;
      await row.update({ deletedAt, ...changedBy(actor) }, { silent: true, transaction });
      if (deletedAt) await dropLine(summaryModel(sequelize, kind), [id], transaction);
      else await list(kind, row, null, transaction, true);
    });

  /** Refuses ids that are not all the crew's own, of this kind. */
  async function onlyOwn(
    actor: Actor,
    kind: Kind,
    ids: readonly string[],
    refusal: () => Error,
    transaction: Transaction,
  ) {
    const own = await DocumentRow.count({
      where: { crewId: actor.crewId, kind: kind.name, id: [...ids] },
      transaction,
    });
    if (own < new Set(ids).size) throw refusal();
  }

  return {
    ...listService(sequelize),
    read,
    async several({ crewId }, kind, ids) {
      const rows = await DocumentRow.findAll({
        where: { crewId, kind: kind.name, id: [...ids], deletedAt: null },
      });
      const looked = rows.map((row) => ({ row, input: storedOrNull(kind, row) }));
      return {
        documents: looked.flatMap(({ row, input }) => (input === null ? [] : [wireOf(kind, row, input)])),
        unreadable: looked.flatMap(({ row, input }) => (input === null ? [row.id] : [])),
      };
    },
    async removed({ crewId }, kind) {
      const where = { crewId, kind: kind.name, deletedAt: { [Op.ne]: null } };
      const rows = await DocumentRow.findAll({ where, order: [['deletedAt', 'DESC'], ['id', 'ASC']], limit: MAX_REMOVED }); // prettier-ignore
      return rows.map((row) => ({
        id: row.id,
        name: lineOfRow(kind, row).name,
        isSample: row.isSample,
        removedAt: row.deletedAt!.toISOString(),
      }));
    },
    async raw(actor, kind, id) {
      const { version, schemaVersion, input, updatedAt } = await found(actor, kind, id);
      return { id, kind: kind.name, version, schemaVersion, changedAt: updatedAt.toISOString(), raw: input };
    },
    write: (actor, kind, id, checked) =>
      transact(sequelize, async (transaction) => {
        const known = await isThere(actor, kind, id, transaction);
        const row = known ? await find(actor, kind, id, transaction) : null;
        return row
          ? update(actor, kind, row, checked, transaction)
          : insert(actor, kind, id, checked, transaction);
      }),
    remove: (actor, kind, id) => mark(actor, kind, id, new Date()),
    async restore(actor, kind, id) {
      await mark(actor, kind, id, null);
      return read(actor, kind, id);
    },
    async addMany(actor, kind, { documents }) {
      const ids = documents.map(({ id }) => id ?? '');
      await transact(sequelize, async (transaction) => {
        const there = await DocumentRow.findAll({ where: { id: ids }, attributes: ['id'], transaction });
        const known = new Set(there.map(({ id }) => id));
        const fresh = documents.filter(
          ({ id }, index) => !known.has(id ?? '') && ids.indexOf(id ?? '') === index,
        );
        await insertAll({ sequelize, actor, kind }, fresh, transaction);
        // An id that was passed over stands for one of ours, or it is somebody else's.
        await onlyOwn(actor, kind, ids, () => plainProblem('id-taken'), transaction);
      });
    },
    async removeMany(actor, kind, ids) {
      const gone = { deletedAt: new Date(), ...changedBy(actor) };
      await transact(sequelize, async (transaction) => {
        await onlyOwn(actor, kind, ids, () => notFound(oneOf(kind.name)), transaction);
        await DocumentRow.update(gone, { where: { crewId: actor.crewId, kind: kind.name, id: [...ids], deletedAt: null }, silent: true, transaction }); // prettier-ignore
        await dropLine(summaryModel(sequelize, kind), ids, transaction);
      });
    },
  };
}
