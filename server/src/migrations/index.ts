// Migrations: each changes the database one step forward and is never edited once it has shipped.
// A list, not a folder scan, so that they bundle.
import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug, type RunnableMigration } from 'umzug';
import { crewsAndJobs } from './001-crews-and-jobs.ts';
import { labelCoverage } from './002-label-coverage.ts';
import { products } from './003-products.ts';

type Migration = RunnableMigration<Sequelize>;

const MIGRATIONS: Migration[] = [crewsAndJobs, labelCoverage, products];

/** Brings the database up to date; does nothing when it is. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS,
    context: sequelize,
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  await umzug.up();
}
