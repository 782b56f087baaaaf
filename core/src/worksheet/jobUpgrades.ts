import { eachIn, filledIn, partOf, renamed, textIn, type Json, type UpgradeStep } from '../fields/upgrade.ts';
import { labelOfDeicers, labelOfLimits, labelOfTanks, labelWhole } from '../products/productUpgrades.ts';

/**
 * What the first versions did not know of a sheet is blank.
 *
 * @example upgraded(jobUpgrades, 1, { worksheet: { split: { portions: '2', everyDays: '28' } } })['worksheet'].split // { portions: '2', everyDays: '28', directions: 'one' }
 */
function sheetWhole(earlier: Json): Json {
  const metric = textIn(partOf(earlier, 'need'), 'unit').startsWith('kg');
  const unit = metric ? 'kg/ha' : 'lb/1000 ft2';
  const blank = {
    need: { of: 'N', amount: '', unit },
    product: {},
    areas: [],
    carrier: { amount: '', unit: metric ? 'L/ha' : 'gal/1000 ft2', means: 'mix' },
    split: { portions: '', everyDays: '', directions: 'one' },
    rules: { setId: '', soilTest: '', soilTestDay: '', soFar: [], unit },
    spread: {
      calibration: '',
      width: { text: '', unit: metric ? 'm' : 'ft' },
      recomputed: false,
      sameProduct: '',
    },
    shownIn: { rate: null, amount: null, area: null },
    confirmed: [],
  };
  const whole = filledIn(blank, earlier);
  const pack = metric ? { package: { size: '', unit: 'kg' } } : {};
  return { ...whole, product: labelWhole({ ...pack, ...partOf(whole, 'product') }) };
}

/**
 * What is needed is told by its nutrient.
 *
 * @example upgraded(jobUpgrades, 2, { worksheet: { need: { of: 'N' } } })['worksheet'].need // { nutrient: 'N' }
 */
function needByNutrient(earlier: Json): Json {
  const worksheet = partOf(earlier, 'worksheet');
  return {
    ...earlier,
    worksheet: { ...worksheet, need: renamed(partOf(worksheet, 'need'), { of: 'nutrient' }) },
  };
}

/** Before tanks were filled, a sheet had one product and no tank. */
function withTank(earlier: Json): Json {
  const worksheet = partOf(earlier, 'worksheet');
  const isUs = /gal|oz|qt|pt/.test(textIn(partOf(worksheet, 'carrier'), 'unit'));
  const tank = { size: '', unit: isUs ? 'gal' : 'L', water: '', waterUnit: isUs ? 'degF' : 'degC', calibration: '' };
  const spread = { rowLength: { text: '', unit: textIn(partOf(partOf(worksheet, 'spread'), 'width'), 'unit') || 'ft' } };
  return {
    ...earlier,
    worksheet: { ...filledIn({ tank, mates: [], spread }, worksheet), product: labelOfTanks(partOf(worksheet, 'product')) },
  };
} // prettier-ignore

/** Before pavement was treated, the product of a sheet said nothing of de-icers. */
const withDeicer = (earlier: Json): Json => withLabels(earlier, labelOfDeicers);

/** Each label of a sheet, changed. */
function withLabels(earlier: Json, change: (label: Json) => Json): Json {
  const worksheet = partOf(earlier, 'worksheet');
  return {
    ...earlier,
    worksheet: {
      ...worksheet,
      product: change(partOf(worksheet, 'product')),
      mates: eachIn(worksheet, 'mates', (mate) => ({ ...mate, product: change(partOf(mate, 'product')) })),
    },
  };
}

/** Before passes were planned, nothing was said of how a sheet is walked. */
function withLoad(earlier: Json): Json {
  const us = !/kg|g\/m|L\//.test(textIn(partOf(partOf(earlier, 'worksheet'), 'need'), 'unit'));
  const unit = us ? 'ft' : 'm';
  const load = {
    trims: '',
    trimShare: '',
    edgeOn: 'right',
    headingAim: 'fewest',
    last: 'even',
    reserve: '',
    reserveUnit: us ? 'lb' : 'kg',
    turn: '',
    refill: '',
    block: { size: '', unit: us ? 'ft2' : 'm2' },
    water: { depth: '', unit: us ? 'in' : 'mm', by: '', who: '' },
    walk: { late: '', early: '', wander: '', unit, pace: '' },
    areas: [],
    ready: null,
  };
  return filledIn({ load }, earlier);
}

/** How a stored job became what it is now. */
export const jobUpgrades: readonly UpgradeStep[] = [
  {
    adds: [],
    upgrade: (earlier) => ({ ...earlier, worksheet: sheetWhole(partOf(earlier, 'worksheet')) }),
  },
  { adds: [], upgrade: needByNutrient },
  { adds: ['worksheet.tank', 'worksheet.spread.rowLength', 'worksheet.mates', 'worksheet.product.carrier.means', 'worksheet.product.salt', 'worksheet.product.solubility'], upgrade: withTank }, // prettier-ignore
  { adds: ['worksheet.product.deicer'], upgrade: withDeicer },
  { adds: ['load'], upgrade: withLoad },
  { adds: ['worksheet.product.limits'], upgrade: (earlier) => withLabels(earlier, labelOfLimits) },
];
