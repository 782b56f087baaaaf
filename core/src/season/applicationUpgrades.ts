import { labelOfLimits } from '../products/productUpgrades.ts';
import { filledIn, isJson, type Json, type UpgradeStep } from '../fields/upgrade.ts';

const SHEET = { need: '', directions: 'one', planned: '', water: '', label: null, chart: '' };

const RUN = {
  onDay: '',
  person: '',
  licenseUntil: '',
  clockAhead: '',
  weather: { soil: '', rain: '', ground: '' },
  settingRate: '',
  chartLines: [],
  sheet: null,
  cautions: [],
  photos: [],
};

/** The label as it was frozen is brought up to what a label is now. */
function withRun(earlier: Json): Json {
  const filled = filledIn(RUN, earlier);
  return isJson(filled['label']) ? { ...filled, label: labelOfLimits(filled['label']) } : filled;
}

/** How an appended application became what it is now: before work of a job was recorded, nothing was said of its sheet; before runs were walked with conditions and photos, nothing of those. */
export const applicationUpgrades: readonly UpgradeStep[] = [
  { adds: Object.keys(SHEET), upgrade: (earlier) => filledIn(SHEET, earlier) },
  { adds: [...Object.keys(RUN).filter((key) => key !== 'weather'), ...Object.keys(RUN.weather).map((key) => `weather.${key}`)], upgrade: withRun }, // prettier-ignore
];
