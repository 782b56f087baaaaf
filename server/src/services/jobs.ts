import { isDeepStrictEqual } from 'node:util';
import type { Job, JobSummary, JobWrite } from '@steady-scatter/contract';
import type { Sequelize, Transaction } from 'sequelize';
import { JobAreaRow, JobRow } from '../models/index.ts';
import { notFound, outOfDate } from '../problems/Refusal.ts';
import { transact } from './transact.ts';
import { areaColumns, jobColumns, jobOf, summaryOf } from './jobRows.ts';

const withAreas = { include: [{ model: JobAreaRow, as: 'areas' }] };

/** What can be done with a crew's jobs. */
export interface JobService {
  list(crewId: string): Promise<JobSummary[]>;
  read(crewId: string, id: string): Promise<Job>;
  write(crewId: string, id: string, write: JobWrite, isSample?: boolean): Promise<Job>;
  remove(crewId: string, id: string): Promise<void>;
  restore(crewId: string, id: string): Promise<Job>;
}

const sameAsKept = (row: JobRow, { name, onDay, worksheet }: JobWrite): boolean => {
  const kept = jobOf(row);
  return isDeepStrictEqual([kept.name, kept.onDay, kept.worksheet], [name, onDay, worksheet]);
};

type NewJob = { crewId: string; id: string; isSample: boolean };

async function insert(job: NewJob, write: JobWrite, transaction: Transaction): Promise<void> {
  if (write.version !== 0) throw notFound('job with this id');
  await JobRow.create({ ...job, version: 1, deletedAt: null, ...jobColumns(write) }, { transaction });
}

async function update(row: JobRow, write: JobWrite, transaction: Transaction): Promise<void> {
  if (row.deletedAt || row.version !== write.version) throw outOfDate(row.deletedAt ? null : jobOf(row));
  await row.update({ version: row.version + 1, ...jobColumns(write) }, { transaction });
  await JobAreaRow.destroy({ where: { jobId: row.id, crewId: row.crewId }, transaction });
}

/** Jobs in the database. Writes are checked against `version` inside one transaction, with the row locked. */
export function jobService(sequelize: Sequelize): JobService {
  const find = (crewId: string, id: string, transaction?: Transaction) =>
    JobRow.findOne({
      where: { id, crewId },
      ...withAreas,
      ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
    });

  async function read(crewId: string, id: string): Promise<Job> {
    const row = await find(crewId, id);
    if (!row || row.deletedAt) throw notFound('job with this id');
    return jobOf(row);
  }

  async function write(crewId: string, id: string, change: JobWrite, isSample = false): Promise<Job> {
    await transact(sequelize, async (transaction) => {
      const row = await find(crewId, id, transaction);
      if (row && !row.deletedAt && sameAsKept(row, change)) return;
      if (row) await update(row, change, transaction);
      else await insert({ crewId, id, isSample }, change, transaction);
      await JobAreaRow.bulkCreate(areaColumns(crewId, id, change.worksheet), { transaction });
    });
    return read(crewId, id);
  }

  /** Marks a job deleted or not, without touching its version: undoing leaves everything as it was. */
  async function mark(crewId: string, id: string, deletedAt: Date | null): Promise<void> {
    const row = await find(crewId, id);
    if (!row) throw notFound('job with this id');
    if (Boolean(row.deletedAt) !== Boolean(deletedAt)) await row.update({ deletedAt }, { silent: true });
  }

  return {
    async list(crewId) {
      const order: [string, string][] = [['onDay', 'DESC'], ['id', 'DESC']]; // prettier-ignore
      const rows = await JobRow.findAll({ where: { crewId, deletedAt: null }, order, ...withAreas });
      return rows.map(summaryOf);
    },
    read,
    write,
    remove: (crewId, id) => mark(crewId, id, new Date()),
    async restore(crewId, id) {
      await mark(crewId, id, null);
      return read(crewId, id);
    },
  };
}
