import { DataTypes, type Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { stepsOn } from './steps.ts';

/**
 * What is measured or done stands in one table, whatever its kind, row after row. The database itself refuses to change or delete one:
 * no mistake of a program can.
 */
export const events: RunnableMigration<Sequelize> = {
  name: '012-events',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    const id = { type: DataTypes.UUID, allowNull: false };
    const time = { type: DataTypes.DATE(3), allowNull: false };
    const whom = { type: DataTypes.UUID, allowNull: true };
    await steps.createTable('events', {
      /** In the order in which they came. */
      seq: { type: DataTypes.BIGINT, allowNull: false, primaryKey: true, autoIncrement: true },
      id: { ...id, unique: true },
      crewId: { ...id, references: { model: 'crews', key: 'id' } },
      kind: { type: DataTypes.STRING(40), allowNull: false },
      subjectId: id,
      firstId: whom,
      occurredAt: time,
      recordedAt: time,
      schemaVersion: { type: DataTypes.INTEGER, allowNull: false },
      isSample: { type: DataTypes.BOOLEAN, allowNull: false },
      input: { type: DataTypes.TEXT('medium'), allowNull: false },
      byUser: whom,
      byDevice: whom,
    });
    await steps.addIndex('events', ['crewId', 'kind', 'subjectId', 'seq']);
    // oxlint-disable-next-line no-await-in-loop -- one step after the other
    const refusing = (deed: string): string =>
      `CREATE TRIGGER IF NOT EXISTS events_no_${deed.toLowerCase()} BEFORE ${deed} ON events FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was measured or done is never changed: append a row that says it anew.'`; // prettier-ignore
    await context.query(refusing('UPDATE'));
    await context.query(refusing('DELETE'));
  },
};
