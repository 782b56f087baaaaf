import { filledIn, type UpgradeStep } from '../fields/upgrade.ts';

const ADDED = { need: '', directions: 'one', planned: '', water: '', label: null, chart: '' };

/** How an appended application became what it is now: before work of a job was recorded, nothing was said of its sheet. */
export const applicationUpgrades: readonly UpgradeStep[] = [
  { adds: Object.keys(ADDED), upgrade: (earlier) => filledIn(ADDED, earlier) },
];
