import type { AreaUnit } from '../quantities/units.ts';
import type { Hold } from './areaSheet.ts';
import type { EdgeInput } from './edges.ts';
import type { PlaceInput } from './geodetic.ts';
import { blankPace, type PaceInput } from './paces.ts';
import type { PartInput } from './parts.ts';
import { blankRows, type RowsInput } from './rows.ts';

/** What lies on the ground. */
export const SURFACES = {
  turf: 'turf',
  bed: 'bed',
  'row-crop': 'row crop',
  pavement: 'pavement',
  gravel: 'gravel',
} as const;
export type Surface = keyof typeof SURFACES;

/** How steep it is: it tells on pace, on throw and on what washes off. */
export const SLOPES = {
  level: 'level',
  gentle: 'gentle, up to 10 %',
  steep: 'steep, over 10 %',
} as const;
export type Slope = keyof typeof SLOPES;

/** One area of a site as typed. */
export interface SiteAreaInput {
  readonly id: string;
  readonly name: string;
  readonly surface: Surface;
  readonly slope: Slope;
  readonly treated: boolean;
  readonly hold: Hold;
  readonly parts: readonly PartInput[];
  readonly edges: readonly EdgeInput[];
  readonly rows: RowsInput;
  /** Unit that its size is shown in. */
  readonly shownIn: AreaUnit;
  readonly notes: string;
}

/** A site as typed: a piece of property with its areas. */
export interface SiteInput {
  readonly name: string;
  readonly notes: string;
  /** Where the zero of its drawings lies. */
  readonly place: PlaceInput;
  /** Pace and wheel of whoever measured it. */
  readonly pace: PaceInput;
  readonly areas: readonly SiteAreaInput[];
}

/** Most areas on a site, and most parts in an area. */
export const MAX_SITE_AREAS = 200;
export const MAX_PARTS = 100;

/** An area with nothing measured yet. */
export const blankSiteArea = (id: string, system: 'us' | 'metric'): SiteAreaInput => ({
  id,
  name: '',
  surface: 'turf',
  slope: 'level',
  treated: true,
  hold: 'sum',
  parts: [],
  edges: [],
  rows: system === 'us' ? blankRows('ft', 'acre') : blankRows('m', 'ha'),
  shownIn: system === 'us' ? 'ft2' : 'm2',
  notes: '',
});

/** A site with one empty area. */
export const blankSite = (firstAreaId: string, system: 'us' | 'metric'): SiteInput => ({
  name: '',
  notes: '',
  place: { lat: '', lon: '' },
  pace: blankPace(system === 'us' ? 'ft' : 'm'),
  areas: [blankSiteArea(firstAreaId, system)],
});
