import type { KindName } from '@steady-scatter/contract';

/** Where the list of each kind stands, and what that place is called. */
export const HOMES = {
  jobs: { path: '/jobs', label: 'the jobs' },
  products: { path: '/shelf', label: 'the shelf' },
  sites: { path: '/sites', label: 'the sites' },
  rigs: { path: '/bench/rigs', label: 'the machines' },
  calibrations: { path: '/bench', label: 'the bench' },
  openRuns: { path: '/bench', label: 'the bench' },
  widthTests: { path: '/bench/width', label: 'the widths' },
  soilTests: { path: '/shelf/soil', label: 'the soil tests' },
  ruleSets: { path: '/shelf/rules', label: 'the rules' },
} as const satisfies Readonly<Record<KindName, { readonly path: string; readonly label: string }>>;
