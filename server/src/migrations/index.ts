// Migrations: each changes the database one step forward and is never edited once it has shipped.
// A list, not a folder scan, so that they bundle.
import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug, type RunnableMigration } from 'umzug';
import { crewsAndJobs } from './001-crews-and-jobs.ts';
import { labelCoverage } from './002-label-coverage.ts';
import { products } from './003-products.ts';
import { asTyped } from './004-as-typed.ts';
import { sites } from './005-sites.ts';
import { rigs } from './006-rigs.ts';
import { devices } from './007-devices.ts';
import { widthTests } from './008-width-tests.ts';
import { deviceSeen } from './009-device-seen.ts';
import { changedByWhom } from './010-changed-by.ts';
import { documents } from './011-documents.ts';
import { events } from './012-events.ts';
import { testRuns } from './013-test-runs.ts';
import { installation } from './014-installation.ts';
import { crewSettings } from './015-crew-settings.ts';
import { stockAndPhotos } from './016-stock-and-photos.ts';
import { feeds } from './017-feeds.ts';

type Migration = RunnableMigration<Sequelize>;

const MIGRATIONS: Migration[] = [
  crewsAndJobs,
  labelCoverage,
  products,
  asTyped,
  sites,
  rigs,
  devices,
  widthTests,
  deviceSeen,
  changedByWhom,
  documents,
  events,
  testRuns,
  installation,
  crewSettings,
  stockAndPhotos,
  feeds,
];

/** The names of all steps, in order. */
export const MIGRATION_NAMES: readonly string[] = MIGRATIONS.map(({ name }) => name);

const umzugOn = (sequelize: Sequelize) =>
  new Umzug({
    migrations: MIGRATIONS,
    context: sequelize,
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });

/** The steps that are still to be taken; `before` where something is kept already. */
export async function pendingSteps(sequelize: Sequelize): Promise<{ name: string; before: boolean }[]> {
  const umzug = umzugOn(sequelize);
  const [pending, taken] = [await umzug.pending(), await umzug.executed()];
  return pending.map(({ name }) => ({ name, before: taken.length > 0 }));
}

/** Brings the database up to date, or up to one migration by its name; does nothing when it is. */
export async function migrate(sequelize: Sequelize, to?: string): Promise<void> {
  const umzug = umzugOn(sequelize);
  if (to !== undefined && (await umzug.executed()).some(({ name }) => name === to)) return;
  await umzug.up(to === undefined ? {} : { to });
}
