import { portionDays } from '@steady-scatter/core/regulations';
import { evaluateJob, jobInput, jobUpgrades, needShown } from '@steady-scatter/core/worksheet';
import * as z from 'zod';
import {
  countColumn,
  dayColumn,
  flagColumn,
  idColumn,
  kindOf,
  listColumn,
  whole,
  shortText,
  siColumn,
} from './kind.ts';

/** Jobs: worksheets under a name, for a day. */
export const jobs = kindOf({
  name: 'jobs',
  path: '/api/jobs',
  schema: jobInput,
  upgrades: jobUpgrades,
  evaluate: evaluateJob,
  columns: {
    onDay: dayColumn,
    /** The need as typed, with its unit: "0.8 lb N / 1000 ft²". */
    need: shortText,
    /** The product by its name on the shelf, else by its grade. */
    product: shortText,
    /** Areas that have a size. */
    areas: countColumn,
    totalM2: siColumn,
    /** kg, or L for a liquid. */
    amountSi: siColumn,
    /** What one time over the ground takes: the need over its portions and directions, kg/m2 or L/m2. */
    rateOnceSi: siColumn,
    /** Units that the job's own sheet shows these in. */
    amountUnit: shortText,
    areaUnit: shortText,
    ruleSet: idColumn,
    calibration: idColumn,
    /** The days of its portions. */
    days: listColumn(z.string()),
    areaNames: listColumn(z.string()),
    /** The lead marked it ready. */
    isReady: flagColumn,
  },
  sort: '-onDay',
  indexed: ['product', 'totalM2', 'amountSi'],
  summarise({ onDay, worksheet, load }, { answer: { numbers, units, reading } }) {
    const { product, areas, rules, spread } = worksheet;
    return {
      onDay,
      need: needShown(worksheet, { reading }),
      product: product.name || product.grade,
      areas: numbers.areas.filter(({ areaM2 }) => areaM2 !== null).length,
      totalM2: numbers.totalM2,
      amountSi: numbers.amountSi,
      rateOnceSi: numbers.once.rateSi,
      amountUnit: units.amount,
      areaUnit: units.area,
      ruleSet: rules.setId,
      calibration: spread.calibration,
      days: portionDays(onDay, reading.split.portions, reading.split.everyDays),
      areaNames: whole(areas.map(({ name }) => name)),
      isReady: load.ready !== null,
    };
  },
  nameOf: ({ name }) => name,
  textsOf: ({ worksheet: { areas, product } }) => whole([product.name || product.grade, ...areas.map(({ name }) => name)]), // prettier-ignore
  linksOf: ({ worksheet: { areas, rules, spread } }) => [
    ...areas.flatMap(({ from }) => (from ? [from.site, from.area] : [])),
    ...whole([rules.setId, rules.soilTest, spread.calibration]),
  ],
});
