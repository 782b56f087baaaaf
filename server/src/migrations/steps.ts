import type { DataType, ModelAttributeColumnOptions, QueryInterface } from 'sequelize';

type Column = DataType | ModelAttributeColumnOptions;

/**
 * The steps of migrations. MariaDB cannot take a change of a table back, so a migration that is broken off leaves a part of its steps
 * behind: each looks before it acts, and the next start goes on where the last one ended.
 */
export function stepsOn(tables: QueryInterface) {
  const columnsOf = async (table: string) => Object.keys(await tables.describeTable(table));
  const has = async (table: string, column: string) => (await columnsOf(table)).includes(column);
  return {
    has,
    async hasTable(table: string) {
      return await tables.tableExists(table);
    },
    dropTable: (table: string) => tables.dropTable(table),
    /** Sequelize makes a table only where there is none. */
    createTable: (table: string, columns: Record<string, ModelAttributeColumnOptions>) =>
      tables.createTable(table, columns),
    async addColumn(table: string, name: string, column: Column) {
      if (!(await has(table, name))) await tables.addColumn(table, name, column);
    },
    async renameColumn(table: string, from: string, to: string) {
      if (await has(table, from)) await tables.renameColumn(table, from, to);
    },
    /** In one statement, so that either all of them stand or none. */
    async dropColumns(table: string, names: readonly string[]) {
      const known = await columnsOf(table);
      const left = names.filter((name) => known.includes(name));
      if (left.length === 0) return;
      await tables.sequelize.query(
        `ALTER TABLE \`${table}\` ${left.map((name) => `DROP COLUMN \`${name}\``).join(', ')}`,
      );
    },
    async addIndex(table: string, columns: readonly string[]) {
      const known = (await tables.showIndex(table)) as { fields: { attribute: string }[] }[];
      const isThere = known.some(
        ({ fields }) => fields.map(({ attribute }) => attribute).join() === columns.join(),
      );
      if (!isThere) await tables.addIndex(table, [...columns]);
    },
  };
}
