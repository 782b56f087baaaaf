import { isDeepStrictEqual } from 'node:util';
import type { Job, JobSummary, JobWrite } from '@steady-scatter/contract';
import type { Sequelize } from 'sequelize';
import { JobAreaRow, JobRow } from '../models/index.ts';
import { areaColumns, jobColumns, jobOf, summaryOf } from './jobRows.ts';
import { versioned, type Versioned } from './versioned.ts';

/** What can be done with a crew's jobs. */
export interface JobService extends Omit<Versioned<JobWrite, Job>, 'list'> {
  list(crewId: string): Promise<JobSummary[]>;
}

const include = [{ model: JobAreaRow, as: 'areas' }];
const order: [string, 'DESC'][] = [['onDay', 'DESC'], ['id', 'DESC']]; // prettier-ignore

/** Jobs in the database, each with its areas; the list has the latest day first. */
export function jobService(sequelize: Sequelize): JobService {
  const kept = versioned<JobRow, JobWrite, Job>(sequelize, {
    what: 'job',
    model: JobRow,
    include,
    order,
    wireOf: jobOf,
    isSame: (row, { name, onDay, worksheet }) =>
      isDeepStrictEqual([row.name, row.onDay, jobOf(row).worksheet], [name, onDay, worksheet]),
    columnsOf: jobColumns,
    async writeParts(crewId, id, { worksheet }, transaction) {
      await JobAreaRow.destroy({ where: { jobId: id, crewId }, transaction });
      await JobAreaRow.bulkCreate(areaColumns(crewId, id, worksheet), { transaction });
    },
  });
  return {
    ...kept,
    async list(crewId) {
      const rows = await JobRow.findAll({ where: { crewId, deletedAt: null }, order, include });
      return rows.map(summaryOf);
    },
  };
}
