import { setImmediate as breathe } from 'node:timers/promises';
import type { Job, JobSummary } from '@steady-scatter/contract';
import { evaluateRuleSet } from '@steady-scatter/core/season';
import type { InferCreationAttributes, Sequelize } from 'sequelize';
import type { Actor } from '../actor.ts';
import type { Stored } from '../checking/stored.ts';
import { JobAreaRow, JobRow } from '../models/index.ts';
import { jobOf, summaryOf, type CrewRules } from './jobRows.ts';
import { ruleSetService, soilTestService } from './documents.ts';
import { versioned, type Versioned } from './versioned.ts';

/** What can be done with a crew's jobs. */
export interface JobService extends Omit<Versioned<Job>, 'list'> {
  list(actor: Actor): Promise<JobSummary[]>;
}

const include = [{ model: JobAreaRow, as: 'areas' }];
const order: [string, 'DESC'][] = [['onDay', 'DESC'], ['id', 'DESC']]; // prettier-ignore

/** Jobs that are worked out for the list before others get their turn. */
const AT_ONCE = 20;

/** True when a job holds just what a write says. */
function isSame(row: JobRow, { columns, parts }: Stored): boolean {
  const { areas: rows = [] } = row;
  const { name, onDay, worksheet } = jobOf(row);
  const { areas: _, ...typed } = worksheet;
  const ofRows = rows.toSorted((a, b) => a.position - b.position);
  const before = ofRows.map(({ id, name: area, sizeTyped, sizeUnit, siteId, siteAreaId }) => ({ id, name: area, sizeTyped, sizeUnit, siteId, siteAreaId })); // prettier-ignore
  const after = parts.map(({ id, name: area, sizeTyped, sizeUnit, siteId, siteAreaId }) => ({ id, name: area, sizeTyped, sizeUnit, siteId, siteAreaId })); // prettier-ignore
  return (
    JSON.stringify([name, onDay, JSON.stringify(typed), before]) ===
    JSON.stringify([columns['name'], columns['onDay'], columns['typed'], after])
  );
}

/** Jobs in the database, each with its areas; the list has the latest day first. */
export function jobService(sequelize: Sequelize): JobService {
  const [ruleSets, soilTests] = [ruleSetService(sequelize), soilTestService(sequelize)];
  const rulesOf = async (actor: Actor): Promise<CrewRules> => {
    const [sets, tests] = await Promise.all([ruleSets.list(actor), soilTests.list(actor)]);
    return {
      ruleSets: new Map(sets.map(({ id, typed }) => [id, evaluateRuleSet(typed).rules])),
      soilTests: tests,
    };
  };
  const kept = versioned<JobRow, Job>(sequelize, {
    what: 'job',
    model: JobRow,
    include,
    order,
    wireOf: jobOf,
    isSame,
    async writeParts({ crewId, id, isNew }, { parts }, transaction) {
      if (!isNew) await JobAreaRow.destroy({ where: { jobId: id, crewId }, transaction });
      const rows = parts.map((part) => ({ ...part, jobId: id, crewId }));
      await JobAreaRow.bulkCreate(rows as unknown as InferCreationAttributes<JobAreaRow>[], { transaction });
    },
  });
  return {
    ...kept,
    async list(actor) {
      const [rows, rules] = await Promise.all([
        JobRow.findAll({ where: { crewId: actor.crewId, deletedAt: null }, order, include }),
        rulesOf(actor),
      ]);
      const summaries: JobSummary[] = [];
      for (const [at, row] of rows.entries()) {
        summaries.push(summaryOf(row, rules));
        // Whoever else asks is answered between.
        // oxlint-disable-next-line no-await-in-loop
        if (at % AT_ONCE === AT_ONCE - 1) await breathe();
      }
      return summaries;
    },
  };
}
