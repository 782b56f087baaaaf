import { evaluateSoilTest, NUTRIENTS, SOIL_NUTRIENTS, soilTestInput, soilTestUpgrades, statedForm } from '@steady-scatter/core/need'; // prettier-ignore
import * as z from 'zod';
import { dayColumn, idColumn, kindOf, listColumn, whole, shortText, siColumn } from './kind.ts';

/** Soil tests, each of one piece of ground on one day. */
export const soilTests = kindOf({
  name: 'soilTests',
  path: '/api/soil-tests',
  schema: soilTestInput,
  upgrades: soilTestUpgrades,
  evaluate: evaluateSoilTest,
  columns: {
    onDay: dayColumn,
    site: idColumn,
    area: idColumn,
    lab: shortText,
    /** "120 N": each need that is stated, as typed. */
    needs: listColumn(z.string()),
    unit: shortText,
    ph: siColumn,
  },
  sort: 'name',
  summarise: ({ onDay, site, area, lab, needs, form, unit }, { ph }) => ({
    onDay,
    site,
    area,
    lab,
    needs: SOIL_NUTRIENTS.flatMap((id) => (needs[id].trim() === '' ? [] : [`${needs[id]} ${NUTRIENTS[statedForm(id, form)].symbol}`])), // prettier-ignore
    unit,
    ph,
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ lab, notes }) => whole([lab, notes]),
  linksOf: ({ site, area }) => whole([site, area]),
});
