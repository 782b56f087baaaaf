import type { Includeable, Model, ModelStatic, Sequelize, Transaction, WhereOptions } from 'sequelize';
import { changedBy, type Actor } from '../actor.ts';
import type { Stored } from '../checking/stored.ts';
import { HttpProblem, notFound } from '../problems/HttpProblem.ts';
import { transact } from './transact.ts';

/** What every row has that a crew keeps, changes and deletes with undo. */
export interface VersionedRow extends Model {
  id: string;
  crewId: string;
  version: number;
  deletedAt: Date | null;
}

/** How one kind of thing is kept. */
export interface Kept<Row extends VersionedRow, Wire> {
  /** What it is called in a sentence. */
  readonly what: string;
  readonly model: ModelStatic<Row>;
  readonly include?: Includeable[];
  /** Order of the list. */
  readonly order: [string, 'ASC' | 'DESC'][];
  wireOf(row: Row): Wire;
  /** True when the row holds just what the write says. */
  isSame(row: Row, stored: Stored): boolean;
  /** Throws when a row may not be changed in this way. */
  guard?(row: Row, stored: Stored): void;
  /** Writes rows that belong to it, after its own; `isNew` where there were none before. */
  writeParts?(of: { crewId: string; id: string; isNew: boolean }, stored: Stored, transaction: Transaction): Promise<void>; // prettier-ignore
}

export interface Versioned<Wire> {
  list(actor: Actor): Promise<Wire[]>;
  read(actor: Actor, id: string): Promise<Wire>;
  write(actor: Actor, id: string, stored: Stored): Promise<Wire>;
  remove(actor: Actor, id: string): Promise<void>;
  restore(actor: Actor, id: string): Promise<Wire>;
}

/** What is kept cannot be read any more: a fault of ours, never of whoever asked. The log names the row. */
export class UnreadableRow extends Error {
  constructor(what: string, id: string, cause: unknown) {
    super(`The ${what} ${id} is stored in a way that cannot be read.`, { cause });
  }
}

/**
 * Keeping with versions: a repeated write is harmless, a write of an old version is refused with what stands there,
 * and deleting only marks, so that undo leaves everything as it was. Writes run in one transaction, the row locked; a row that is not
 * there yet is not looked for with a lock, which would hold up whoever else brings something new.
 */
export function versioned<Row extends VersionedRow, Wire>(
  sequelize: Sequelize,
  kept: Kept<Row, Wire>,
): Versioned<Wire> {
  const { model, include = [] } = kept;
  const wireOf = (row: Row): Wire => {
    try {
      return kept.wireOf(row);
    } catch (cause) {
      throw new UnreadableRow(kept.what, row.id, cause);
    }
  };
  const absent = () => notFound(`${kept.what} with this id`);
  const find = (crewId: string, id: string, transaction?: Transaction) =>
    model.findOne({
      where: { id, crewId } as WhereOptions,
      include,
      ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
    });

  /** Looks without a lock. */
  const isThere = async ({ crewId }: Actor, id: string, transaction: Transaction) =>
    (await model.count({ where: { id, crewId } as WhereOptions, transaction })) > 0;

  async function read({ crewId }: Actor, id: string): Promise<Wire> {
    const row = await find(crewId, id);
    if (!row || row.deletedAt) throw absent();
    return wireOf(row);
  }

  async function insert(actor: Actor, id: string, stored: Stored, transaction: Transaction): Promise<void> {
    if (stored.version !== 0) throw absent();
    const { crewId } = actor;
    const own = { id, crewId, isSample: false, version: 1, deletedAt: null, ...changedBy(actor) };
    const values = { ...own, ...stored.columns };
    await model.create(values as Row['_creationAttributes'], { transaction });
    await kept.writeParts?.({ crewId, id, isNew: true }, stored, transaction);
  }

  async function update(actor: Actor, row: Row, stored: Stored, transaction: Transaction): Promise<void> {
    if (!row.deletedAt && kept.isSame(row, stored)) return;
    if (row.deletedAt || row.version !== stored.version)
      throw new HttpProblem('changed-elsewhere', { theirs: row.deletedAt ? null : wireOf(row) });
    kept.guard?.(row, stored);
    const next = { version: row.version + 1, ...changedBy(actor), ...stored.columns };
    await row.update(next, { transaction });
    await kept.writeParts?.({ crewId: row.crewId, id: row.id, isNew: false }, stored, transaction);
  }

  /** Marks a row as deleted, or as there again; in one transaction, so that no write slips between the look and the mark. */
  async function mark(actor: Actor, id: string, deletedAt: Date | null): Promise<void> {
    await transact(sequelize, async (transaction) => {
      const row = await find(actor.crewId, id, transaction);
      if (!row) throw absent();
      if (Boolean(row.deletedAt) === Boolean(deletedAt)) return;
      await row.update({ deletedAt, ...changedBy(actor) }, { silent: true, transaction });
    });
  }

  return {
    async list({ crewId }) {
      const rows = await model.findAll({
        where: { crewId, deletedAt: null } as WhereOptions,
        include,
        order: kept.order,
      });
      return rows.map((row) => wireOf(row));
    },
    read,
    async write(actor, id, stored) {
      await transact(sequelize, async (transaction) => {
        const known = await isThere(actor, id, transaction);
        const row = known ? await find(actor.crewId, id, transaction) : null;
        if (row) await update(actor, row, stored, transaction);
        else await insert(actor, id, stored, transaction);
      });
      return read(actor, id);
    },
    remove: (actor, id) => mark(actor, id, new Date()),
    async restore(actor, id) {
      await mark(actor, id, null);
      return read(actor, id);
    },
  };
}
