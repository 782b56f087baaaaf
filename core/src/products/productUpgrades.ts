import { blankLimits } from './conditionLimits.ts';
import { blankDeicer } from './deicer.ts';
import { filledIn, isJson, partOf, textIn, type Json, type UpgradeStep } from '../fields/upgrade.ts';

const isLiquid = (kind: unknown): boolean => kind === 'liquid-fertilizer' || kind === 'liquid-deicer';

function unitsOf(kind: unknown, metric: boolean): { pack: string; rate: string } {
  if (isLiquid(kind)) return metric ? { pack: 'L', rate: 'L/ha' } : { pack: 'gal', rate: 'fl oz/1000 ft2' };
  return metric ? { pack: 'kg', rate: 'kg/ha' } : { pack: 'lb', rate: 'lb/1000 ft2' };
}

/**
 * What the first versions did not know of a label is blank.
 *
 * @example labelWhole({ kind: 'dry-fertilizer', name: 'Feed' })['grade'] // ''
 */
export function labelWhole(earlier: Json): Json {
  const metric = /^(kg|g|L|mL|t)\b/.test(textIn(partOf(earlier, 'package'), 'unit'));
  const kind = earlier['kind'] ?? 'dry-fertilizer';
  const { pack, rate } = unitsOf(kind, metric);
  const blank = {
    kind,
    name: '',
    grade: '',
    gradeBasis: 'weight',
    slowShare: '',
    activeIngredient: '',
    load: '',
    density: { text: '', unit: metric ? 'kg/L' : 'lb/gal' },
    package: { size: '', unit: pack },
    price: '',
    stock: '',
    coverage: { size: '', unit: metric ? 'm2' : 'ft2' },
    labelRate: { low: '', high: '', mostAtOnce: '', mostPerYear: '', unit: rate },
    carrier: { low: '', high: '', unit: metric ? 'L/ha' : 'gal/1000 ft2' },
    leastIntervalDays: '',
    settings: [],
    scoop: { name: '', tare: '', weighings: [], unit: metric ? 'kg' : 'lb' },
    grainSize: '',
    lot: '',
    notes: '',
  };
  return filledIn(blank, isJson(earlier) ? earlier : {});
}

/**
 * Before tanks were filled, nothing was said of how a product dissolves, nor what its water rate means.
 *
 * @example labelOfTanks({ carrier: { low: '300' } })['carrier'] // { low: '300', means: '' }
 */
export const labelOfTanks = (earlier: Json): Json =>
  filledIn({ carrier: { means: '' }, salt: '', solubility: '' }, earlier);

/**
 * Before pavement was treated, nothing was said of what a de-icer is; its limit is in degrees of the units that its package is in.
 *
 * @example labelOfDeicers({ package: { unit: 'kg' } })['deicer'].limit.unit // 'degC'
 */
export const labelOfDeicers = (earlier: Json): Json => {
  const { unit } = (isJson(earlier['package']) ? earlier['package'] : {}) as { unit?: string };
  return filledIn({ deicer: blankDeicer(unit === 'kg' || unit === 'L' ? 'metric' : 'us') }, earlier);
};

/**
 * Before runs were walked, nothing was said of wind, rain and ground that it may not go out in.
 *
 * @example labelOfLimits({ package: { unit: 'kg' } })['limits'].wind.unit // 'km/h'
 */
export const labelOfLimits = (earlier: Json): Json => {
  const { unit } = (isJson(earlier['package']) ? earlier['package'] : {}) as { unit?: string };
  return filledIn({ limits: blankLimits(unit === 'kg' || unit === 'L' ? 'metric' : 'us') }, earlier);
};

/** How a stored product became what it is now. */
export const productUpgrades: readonly UpgradeStep[] = [
  { adds: [], upgrade: labelWhole },
  { adds: ['carrier.means', 'salt', 'solubility'], upgrade: labelOfTanks },
  { adds: ['deicer'], upgrade: labelOfDeicers },
  { adds: ['limits'], upgrade: labelOfLimits },
];
