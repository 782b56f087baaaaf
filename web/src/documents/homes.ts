import type { KindName } from '@steady-scatter/contract';
import { say } from '@steady-scatter/words/common';

/** Where the list of each kind stands, and what that place is called. */
export const HOMES = {
  jobs: { path: '/jobs', label: say('common.home.jobs') },
  walks: { path: '/jobs', label: say('common.home.jobs') },
  plans: { path: '/plans', label: say('common.home.plans') },
  people: { path: '/people', label: say('common.home.people') },
  products: { path: '/shelf', label: say('common.home.shelf') },
  sites: { path: '/sites', label: say('common.home.sites') },
  nozzles: { path: '/bench/nozzles', label: say('common.home.nozzles') },
  rigs: { path: '/bench/rigs', label: say('common.home.machines') },
  calibrations: { path: '/bench', label: say('common.home.bench') },
  openRuns: { path: '/bench', label: say('common.home.bench') },
  widthTests: { path: '/bench/width', label: say('common.home.widths') },
  soilTests: { path: '/shelf/soil', label: say('common.home.soilTests') },
  guides: { path: '/winter/guides', label: say('common.home.guides') },
  storms: { path: '/winter/storms', label: say('common.home.storms') },
  winters: { path: '/winter/seasons', label: say('common.home.winters') },
  ruleSets: { path: '/shelf/rules', label: say('common.home.rules') },
} as const satisfies Readonly<Record<KindName, { readonly path: string; readonly label: string }>>;
