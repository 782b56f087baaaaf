import type { Includeable, Model, ModelStatic, Sequelize, Transaction, WhereOptions } from 'sequelize';
import { notFound, outOfDate } from '../problems/Refusal.ts';
import { transact } from './transact.ts';

/** What every row has that a crew keeps, changes and deletes with undo. */
export interface VersionedRow extends Model {
  id: string;
  crewId: string;
  version: number;
  deletedAt: Date | null;
}

/** How one kind of thing is kept. */
export interface Kept<Row extends VersionedRow, Write extends { version: number }, Wire> {
  /** What it is called in a sentence. */
  readonly what: string;
  readonly model: ModelStatic<Row>;
  readonly include?: Includeable[];
  /** Order of the list. */
  readonly order: [string, 'ASC' | 'DESC'][];
  wireOf(row: Row): Wire;
  /** True when the row holds just what the write says. */
  isSame(row: Row, write: Write): boolean;
  columnsOf(write: Write): object;
  /** Throws when a row may not be changed in this way. */
  guard?(row: Row, write: Write): void;
  /** Writes rows that belong to it, after its own. */
  writeParts?(crewId: string, id: string, write: Write, transaction: Transaction): Promise<void>;
}

export interface Versioned<Write, Wire> {
  list(crewId: string): Promise<Wire[]>;
  read(crewId: string, id: string): Promise<Wire>;
  write(crewId: string, id: string, write: Write, isSample?: boolean): Promise<Wire>;
  remove(crewId: string, id: string): Promise<void>;
  restore(crewId: string, id: string): Promise<Wire>;
}

/**
 * Keeping with versions: a repeated write is harmless, a write of an old version is refused with what stands there,
 * and deleting only marks, so that undo leaves everything as it was. Writes run in one transaction, the row locked.
 */
export function versioned<Row extends VersionedRow, Write extends { version: number }, Wire>(
  sequelize: Sequelize,
  kept: Kept<Row, Write, Wire>,
): Versioned<Write, Wire> {
  const { model, include = [] } = kept;
  const absent = () => notFound(`${kept.what} with this id`);
  const find = (crewId: string, id: string, transaction?: Transaction) =>
    model.findOne({
      where: { id, crewId } as WhereOptions,
      include,
      ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
    });

  async function read(crewId: string, id: string): Promise<Wire> {
    const row = await find(crewId, id);
    if (!row || row.deletedAt) throw absent();
    return kept.wireOf(row);
  }

  async function insert(base: object, write: Write, transaction: Transaction): Promise<void> {
    if (write.version !== 0) throw absent();
    const values = { ...base, version: 1, deletedAt: null, ...kept.columnsOf(write) };
    await model.create(values as Row['_creationAttributes'], { transaction });
  }

  async function update(row: Row, write: Write, transaction: Transaction): Promise<void> {
    if (row.deletedAt || row.version !== write.version)
      throw outOfDate(row.deletedAt ? null : kept.wireOf(row));
    kept.guard?.(row, write);
    await row.update({ version: row.version + 1, ...kept.columnsOf(write) }, { transaction });
  }

  async function mark(crewId: string, id: string, deletedAt: Date | null): Promise<void> {
    const row = await find(crewId, id);
    if (!row) throw absent();
    if (Boolean(row.deletedAt) !== Boolean(deletedAt)) await row.update({ deletedAt }, { silent: true });
  }

  return {
    async list(crewId) {
      const rows = await model.findAll({
        where: { crewId, deletedAt: null } as WhereOptions,
        include,
        order: kept.order,
      });
      return rows.map((row) => kept.wireOf(row));
    },
    read,
    async write(crewId, id, write, isSample = false) {
      await transact(sequelize, async (transaction) => {
        const row = await find(crewId, id, transaction);
        if (row && !row.deletedAt && kept.isSame(row, write)) return;
        if (row) await update(row, write, transaction);
        else await insert({ id, crewId, isSample }, write, transaction);
        await kept.writeParts?.(crewId, id, write, transaction);
      });
      return read(crewId, id);
    },
    remove: (crewId, id) => mark(crewId, id, new Date()),
    async restore(crewId, id) {
      await mark(crewId, id, null);
      return read(crewId, id);
    },
  };
}
