import type { Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { createDocumentTable } from './documentTable.ts';
import { stepsOn } from './steps.ts';

/** Machines, and each calibrated for a product. */
export const rigs: RunnableMigration<Sequelize> = {
  name: '006-rigs',
  async up({ context }) {
    const steps = stepsOn(context.getQueryInterface());
    await createDocumentTable(steps, 'rigs');
    await createDocumentTable(steps, 'calibrations');
  },
};
