import { DataTypes, QueryTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

const TYPED_COLUMNS = [
  'nutrient',
  'needTyped',
  'needUnit',
  'gradeTyped',
  'packageTyped',
  'packageUnit',
  'coverageTyped',
  'coverageUnit',
  'shownRateUnit',
  'shownAmountUnit',
  'shownAreaUnit',
];
const PRODUCT_SI = ['packageSi', 'densityKgPerL', 'priceCents', 'stockPackages'];

interface OldJob extends Record<string, string | null> {
  id: string;
  packageUnit: string;
  nutrient: string;
}

/** The worksheet of a job that was kept in columns, as one document; its areas stay in their own table. What it did not know is not there. */
const documentOf = (job: OldJob): object => ({
  need: { of: job.nutrient, amount: job['needTyped'], unit: job['needUnit'] },
  product: {
    grade: job['gradeTyped'],
    package: { size: job['packageTyped'], unit: job.packageUnit },
    coverage: { size: job['coverageTyped'], unit: job['coverageUnit'] },
  },
  shownIn: { rate: job['shownRateUnit'], amount: job['shownAmountUnit'], area: job['shownAreaUnit'] },
});

interface OldProduct {
  id: string;
  typed: string;
  packageSi: number | null;
  densityKgPerL: number | null;
  priceCents: number | null;
  stockPackages: number | null;
}

/**
 * Whatever is typed stands in one document beside its SI values: jobs with the whole label of their product, products
 * with what this version knows of a label; and two more kinds of document, soil tests and sets of rules.
 */
export const asTyped: RunnableMigration<Sequelize> = {
  name: '004-as-typed',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    const text = { type: DataTypes.TEXT('medium'), allowNull: false, defaultValue: '{}' };
    const si = { type: DataTypes.DOUBLE, allowNull: true };
    const setAll = async (table: string, rows: { id: string; values: Record<string, string> }[]) => {
      for (const { id, values } of rows) {
        const columns = Object.keys(values)
          .map((name) => `\`${name}\` = :${name}`)
          .join(', ');
        // One after the other: a migration has no hurry and the connection is one.
        // oxlint-disable-next-line no-await-in-loop
        await context.query(`UPDATE ${table} SET ${columns} WHERE id = :id`, {
          replacements: { ...values, id },
        });
      }
    };

    await steps.addColumn('jobs', 'typed', text);
    await steps.addColumn('jobs', 'rateSi', si);
    await steps.renameColumn('jobs', 'needKgPerM2', 'needSi');
    await steps.renameColumn('jobs', 'packageKg', 'packageSi');
    // Gone once what they held stands in the document: then there is nothing to copy.
    const jobs = (await steps.has('jobs', 'gradeTyped'))
      ? await context.query<OldJob>('SELECT * FROM jobs', { type: QueryTypes.SELECT })
      : [];
    await setAll(
      'jobs',
      jobs.map((job) => ({ id: job.id, values: { typed: JSON.stringify(documentOf(job)) } })),
    );
    await steps.dropColumns('jobs', TYPED_COLUMNS);

    await steps.addColumn('products', 'si', text);
    const products = (await steps.has('products', 'kind'))
      ? await context.query<OldProduct>('SELECT * FROM products', { type: QueryTypes.SELECT })
      : [];
    await setAll(
      'products',
      products.map(({ id, typed, packageSi, densityKgPerL, priceCents, stockPackages }) => ({
        id,
        values: {
          typed,
          si: JSON.stringify({ packageSi, densityKgPerL, priceCents, stockPackages }),
        },
      })),
    );
    await steps.dropColumns('products', [...PRODUCT_SI, 'kind']);

    const id = { type: DataTypes.UUID, allowNull: false };
    const time = { type: DataTypes.DATE(3), allowNull: false };
    for (const table of ['soilTests', 'ruleSets']) {
      // oxlint-disable-next-line no-await-in-loop
      await steps.createTable(table, {
        id: { ...id, primaryKey: true },
        crewId: { ...id, references: { model: 'crews', key: 'id' } },
        version: { type: DataTypes.INTEGER, allowNull: false },
        isSample: { type: DataTypes.BOOLEAN, allowNull: false },
        name: { type: DataTypes.STRING(120), allowNull: false },
        typed: text,
        si: text,
        createdAt: time,
        updatedAt: time,
        deletedAt: { ...time, allowNull: true },
      });
      // oxlint-disable-next-line no-await-in-loop
      await steps.addIndex(table, ['crewId', 'deletedAt', 'name']);
    }
  },
};
