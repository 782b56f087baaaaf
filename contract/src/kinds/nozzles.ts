import { evaluateNozzle, nozzleInput } from '@steady-scatter/core/machines';
import { kindOf, shortText, siColumn, whole } from './kind.ts';

/** The crew's own nozzles: what each lets through at a pressure. */
export const nozzles = kindOf({
  name: 'nozzles',
  path: '/api/nozzles',
  schema: nozzleInput,
  upgrades: [],
  evaluate: evaluateNozzle,
  columns: {
    /** Rated flow and the pressure it is stated at, as typed and in SI. */
    flow: shortText,
    flowUnit: shortText,
    flowLPerS: siColumn,
    at: shortText,
    pressureUnit: shortText,
    pressurePa: siColumn,
    lowPa: siColumn,
    highPa: siColumn,
  },
  sort: 'flowLPerS',
  summarise: ({ flow, at }, { rated, lowPa, highPa }) => ({
    flow: flow.text,
    flowUnit: flow.unit,
    flowLPerS: rated?.flowLPerS ?? null,
    at: at.text,
    pressureUnit: at.unit,
    pressurePa: rated?.pressurePa ?? null,
    lowPa,
    highPa,
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ notes }) => whole([notes]),
  linksOf: () => [],
});
