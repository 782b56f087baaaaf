import { randomUUID } from 'node:crypto';
import { DataTypes, QueryTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/** What tells these rows from those of another database, a restored one included; and devices that were forgotten stay known as such. */
export const installation: RunnableMigration<Sequelize> = {
  name: '014-installation',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await steps.createTable('installations', { id: { type: DataTypes.UUID, primaryKey: true } });
    const made = await context.query('SELECT id FROM installations', { type: QueryTypes.SELECT });
    if (made.length === 0)
      await context.query('INSERT INTO installations (id) VALUES (?)', { replacements: [randomUUID()] });
    await steps.addColumn('devices', 'forgottenAt', { type: DataTypes.DATE(3), allowNull: true });
  },
};
