import { evaluateSite, siteInput, siteUpgrades } from '@steady-scatter/core/ground';
import * as z from 'zod';
import { kindOf, listColumn, whole, shortText, siColumn } from './kind.ts';

/** Sites, each with its measured areas. */
export const sites = kindOf({
  name: 'sites',
  path: '/api/sites',
  schema: siteInput,
  upgrades: siteUpgrades,
  evaluate: evaluateSite,
  columns: {
    areaNames: listColumn(z.string()),
    /** What is treated, and how far it may be off. */
    treatableM2: siColumn,
    bandM2: siColumn,
    /** Unit of its first area. */
    areaUnit: shortText,
  },
  sort: 'name',
  summarise: ({ areas }, { totals: { treatableM2, bandM2 } }) => ({
    areaNames: areas.map(({ name }, index) => name || `Area ${index + 1}`),
    treatableM2,
    bandM2,
    areaUnit: areas[0]?.shownIn ?? 'm2',
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ areas, notes }) => whole([...areas.map(({ name }) => name), notes]),
  linksOf: () => [],
  isLarge: true,
});
