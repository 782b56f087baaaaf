import { filledIn, type UpgradeStep } from '../fields/upgrade.ts';

/** How a stored soil test became what it is now: the first ones did not say of which ground they are. */
export const soilTestUpgrades: readonly UpgradeStep[] = [
  { adds: [], upgrade: (earlier) => filledIn({ site: '', area: '' }, earlier) },
];
