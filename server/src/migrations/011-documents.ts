import { DataTypes, QueryTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** The tables that things stood in, each kind by itself. */
const TABLES = ['products', 'sites', 'rigs', 'calibrations', 'widthTests', 'soilTests', 'ruleSets', 'jobs'];
const AT_ONCE = 200;

interface OldRow {
  readonly id: string;
  readonly crewId: string;
  readonly version: number;
  readonly isSample: number;
  readonly name: string;
  readonly onDay: string;
  readonly typed: string;
  readonly createdAt: Date;
  readonly updatedAt: Date;
  readonly deletedAt: Date | null;
  readonly changedByUser: string | null;
  readonly changedByDevice: string | null;
}

interface OldArea {
  readonly jobId: string;
  readonly id: string;
  readonly name: string;
  readonly sizeTyped: string;
  readonly sizeUnit: string;
  readonly siteId: string | null;
  readonly siteAreaId: string | null;
}

const areaOf = ({ id, name, sizeTyped, sizeUnit, siteId, siteAreaId }: OldArea): object => ({
  id,
  name,
  size: sizeTyped,
  unit: sizeUnit,
  ...(siteId !== null && siteAreaId !== null && { from: { site: siteId, area: siteAreaId } }),
});

/** The text of a document; one that is no JSON stays as it stands. */
function inputOf({ typed, name, onDay }: OldRow, areas: readonly OldArea[] | null): string {
  if (areas === null) return typed;
  try {
    const worksheet = { ...(JSON.parse(typed) as object), areas: areas.map(areaOf) };
    return JSON.stringify({ name, onDay, worksheet });
  } catch {
    return typed;
  }
}

/**
 * Everything that a crew stores stands in one table, whatever its kind: what was typed, and the version of the schema that it was
 * written by. Lists are made from it.
 */
export const documents: RunnableMigration<Sequelize> = {
  name: '011-documents',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    const id = { type: DataTypes.UUID, allowNull: false };
    const time = { type: DataTypes.DATE(3), allowNull: false };
    const whom = { type: DataTypes.UUID, allowNull: true };
    await steps.createTable('documents', {
      id: { ...id, primaryKey: true },
      crewId: { ...id, references: { model: 'crews', key: 'id' } },
      kind: { type: DataTypes.STRING(40), allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      schemaVersion: { type: DataTypes.INTEGER, allowNull: false },
      isSample: { type: DataTypes.BOOLEAN, allowNull: false },
      input: { type: DataTypes.TEXT('medium'), allowNull: false },
      createdAt: time,
      updatedAt: time,
      deletedAt: { ...time, allowNull: true },
      changedByUser: whom,
      changedByDevice: whom,
    });
    await steps.addIndex('documents', ['crewId', 'kind', 'deletedAt']);
    await steps.createTable('documentLinks', {
      fromId: { ...id, primaryKey: true },
      toId: { ...id, primaryKey: true },
      kind: { type: DataTypes.STRING(40), allowNull: false },
    });
    await steps.addIndex('documentLinks', ['toId']);
    await steps.createTable('projections', {
      kind: { type: DataTypes.STRING(40), allowNull: false, primaryKey: true },
      fingerprint: { type: DataTypes.STRING(200), allowNull: false },
    });

    const areasOf = async (ids: readonly string[]): Promise<OldArea[]> =>
      context.query<OldArea>('SELECT * FROM jobAreas WHERE jobId IN (:ids) ORDER BY jobId, position', {
        type: QueryTypes.SELECT,
        replacements: { ids: [...ids] },
      });
    /** Rows that were copied before a break are passed over. */
    const copy = async (kind: string, after: string): Promise<string | null> => {
      const rows = await context.query<OldRow>(`SELECT * FROM \`${kind}\` WHERE id > :after ORDER BY id LIMIT ${AT_ONCE}`, { type: QueryTypes.SELECT, replacements: { after } }); // prettier-ignore
      const last = rows.at(-1);
      if (!last) return null;
      const areas = kind === 'jobs' ? await areasOf(rows.map((row) => row.id)) : null;
      const copied = rows.map((row) => ({
        id: row.id,
        crewId: row.crewId,
        kind,
        version: row.version,
        schemaVersion: 1,
        isSample: row.isSample,
        input: inputOf(row, areas && areas.filter(({ jobId }) => jobId === row.id)),
        createdAt: row.createdAt,
        updatedAt: row.updatedAt,
        deletedAt: row.deletedAt,
        changedByUser: row.changedByUser,
        changedByDevice: row.changedByDevice,
      }));
      await context.getQueryInterface().bulkInsert('documents', copied, { ignoreDuplicates: true } as object);
      return last.id;
    };
    // Once the areas are gone, all of it was copied before: the rest of the old tables only has to go.
    const isCopied = !(await steps.hasTable('jobAreas'));
    for (const kind of isCopied ? [] : TABLES) {
      let after: string | null = '';
      // oxlint-disable-next-line no-await-in-loop -- one step after the other
      while (after !== null) after = await copy(kind, after);
    }
    await steps.dropTable('jobAreas');
    // oxlint-disable-next-line no-await-in-loop -- one step after the other
    for (const table of TABLES) await steps.dropTable(table);
  },
};
