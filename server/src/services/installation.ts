import { QueryTypes, type Sequelize } from 'sequelize';

/** The id of these rows: another one after they were made anew, or restored from an archive. */
export async function installationOf(sequelize: Sequelize): Promise<string> {
  const [row] = await sequelize.query<{ id: string }>('SELECT id FROM installations', {
    type: QueryTypes.SELECT,
  });
  if (!row) throw new Error('This database has no installation: its migrations were not taken.');
  return row.id;
}
