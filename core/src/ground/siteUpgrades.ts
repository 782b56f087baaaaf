import { eachIn, filledIn, renamed, type Json, type UpgradeStep } from '../fields/upgrade.ts';
import { notInWinter } from './siteInput.ts';

/**
 * What an edge borders on is its kind.
 *
 * @example upgraded(siteUpgrades, 2, { areas: [{ edges: [{ of: 'water' }] }] })['areas'][0].edges // [{ kind: 'water' }]
 */
const edgesByKind = (earlier: Json): Json => ({
  ...earlier,
  areas: eachIn(earlier, 'areas', (area) => ({
    ...area,
    edges: eachIn(area, 'edges', (edge) => renamed(edge, { of: 'kind' })),
  })),
});

/** How a stored site became what it is now. */
export const siteUpgrades: readonly UpgradeStep[] = [
  {
    adds: [],
    upgrade: (earlier) => ({
      ...earlier,
      areas: eachIn(earlier, 'areas', (area) => renamed(area, { hold: 'layoutMode' })),
    }),
  },
  { adds: [], upgrade: edgesByKind },
  {
    adds: [],
    upgrade: (earlier) => ({
      ...earlier,
      areas: eachIn(earlier, 'areas', (area) => filledIn({ winter: notInWinter() }, area)),
    }),
  },
];
