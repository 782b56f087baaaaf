import type { Sequelize } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { createDocumentTable } from './documentTable.ts';
import { stepsOn } from './steps.ts';

/** How far machines throw, and how far apart to pass. */
export const widthTests: RunnableMigration<Sequelize> = {
  name: '008-width-tests',
  up: ({ context }) => createDocumentTable(stepsOn(context.getQueryInterface()), 'widthTests'),
};
