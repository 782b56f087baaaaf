import { isDeepStrictEqual } from 'node:util';
import type { Job, JobSummary, JobWrite } from '@steady-scatter/contract';
import { readRuleSet } from '@steady-scatter/core';
import type { Sequelize } from 'sequelize';
import { JobAreaRow, JobRow } from '../models/index.ts';
import { areaColumns, jobColumns, jobOf, summaryOf, type CrewRules } from './jobRows.ts';
import { ruleSetService, soilTestService } from './documents.ts';
import { versioned, type Versioned } from './versioned.ts';

/** What can be done with a crew's jobs. */
export interface JobService extends Omit<Versioned<JobWrite, Job>, 'list'> {
  list(crewId: string): Promise<JobSummary[]>;
}

const include = [{ model: JobAreaRow, as: 'areas' }];
const order: [string, 'DESC'][] = [['onDay', 'DESC'], ['id', 'DESC']]; // prettier-ignore

/** Jobs in the database, each with its areas; the list has the latest day first. */
export function jobService(sequelize: Sequelize): JobService {
  const [ruleSets, soilTests] = [ruleSetService(sequelize), soilTestService(sequelize)];
  const rulesOf = async (crewId: string): Promise<CrewRules> => {
    const [sets, tests] = await Promise.all([ruleSets.list(crewId), soilTests.list(crewId)]);
    return {
      ruleSets: new Map(sets.map(({ id, typed }) => [id, readRuleSet(typed).rules])),
      soilTests: tests,
    };
  };
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
      const [rows, rules] = await Promise.all([
        JobRow.findAll({ where: { crewId, deletedAt: null }, order, include }),
        rulesOf(crewId),
      ]);
      return rows.map((row) => summaryOf(row, rules));
    },
  };
}
