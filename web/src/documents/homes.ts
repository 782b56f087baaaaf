import type { KindName } from '@steady-scatter/contract';
import { say } from '@steady-scatter/words/common';

/** Where the list of each kind stands, and what that place is called. */
export const HOMES = {
  jobs: { path: '/jobs', label: say('home.jobs') },
  products: { path: '/shelf', label: say('home.shelf') },
  sites: { path: '/sites', label: say('home.sites') },
  rigs: { path: '/bench/rigs', label: say('home.machines') },
  calibrations: { path: '/bench', label: say('home.bench') },
  openRuns: { path: '/bench', label: say('home.bench') },
  widthTests: { path: '/bench/width', label: say('home.widths') },
  soilTests: { path: '/shelf/soil', label: say('home.soilTests') },
  ruleSets: { path: '/shelf/rules', label: say('home.rules') },
} as const satisfies Readonly<Record<KindName, { readonly path: string; readonly label: string }>>;
