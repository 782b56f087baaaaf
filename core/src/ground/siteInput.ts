import { message } from '../messages/message.ts';
import * as z from 'zod';
import { areaUnit, notes, ownIds, text, type InputOf } from '../fields/schema.ts';
import { edgeInput } from './edges.ts';
import { placeInput } from './geodetic.ts';
import { blankPace, pacesInput } from './paces.ts';
import { partInput } from './parts.ts';
import { blankRows, rowsInput } from './rows.ts';
import { SURFACES } from './surfaces.ts';

/** How steep it is: it tells on pace, on throw and on what washes off. */
export const SLOPES = ['level', 'gentle', 'steep'] as const;
export type Slope = (typeof SLOPES)[number];

/** What it is in winter; empty: it is not treated then. */
export const WINTER_USES = ['', 'lot', 'walk', 'ramp', 'steps'] as const;
export type WinterUse = (typeof WINTER_USES)[number];

/** Most areas on a site, and most parts in an area. */
export const MAX_SITE_AREAS = 200;
export const MAX_PARTS = 100;

/** One area of a site as typed. */
const siteAreaInput = z.object({
  id: z.uuid(),
  name: z.string().max(120),
  surface: z.enum(SURFACES),
  slope: z.enum(SLOPES),
  treated: z.boolean(),
  /** Its parts are added up wherever they lie, or placed on a plan. */
  layoutMode: z.enum(['sum', 'placed']),
  parts: z.array(partInput).max(MAX_PARTS),
  edges: z.array(edgeInput).max(40),
  rows: rowsInput,
  /** Unit that its size is shown in. */
  shownIn: areaUnit,
  winter: z.object({
    use: z.enum(WINTER_USES),
    /** The machine does not go there: it is treated with a scoop. */
    isByHand: z.boolean(),
    /** Which comes first in a storm. */
    priority: z.enum(['1', '2', '3']),
    /** Drains, plants, iron: what nothing may get to. */
    keepOff: text,
    /** Where snow is piled. */
    piles: text,
  }),
  notes,
});
export type SiteAreaInput = InputOf<typeof siteAreaInput>;
export type LayoutMode = SiteAreaInput['layoutMode'];

/** A site as typed: a piece of property with its areas. */
export const siteInput = z.object({
  name: text,
  notes,
  /** Where the zero of its drawings lies. */
  place: placeInput,
  /** Pace and wheel of whoever measured it. */
  pace: pacesInput,
  areas: z
    .array(siteAreaInput)
    .max(MAX_SITE_AREAS)
    .refine(ownIds, { params: { sentence: message('errors.ownIds') } }),
});
export type SiteInput = InputOf<typeof siteInput>;

/**
 * What is said of an area that nobody treats in winter.
 *
 * @example notInWinter().use // ''
 */
export const notInWinter = (): SiteAreaInput['winter'] => ({
  use: '',
  isByHand: false,
  priority: '2',
  keepOff: '',
  piles: '',
});

/**
 * An area with nothing measured yet.
 *
 * @example blankSiteArea('a', 'us').shownIn // 'ft2'
 */
export const blankSiteArea = (id: string, system: 'us' | 'metric'): SiteAreaInput => ({
  id,
  name: '',
  surface: 'turf',
  slope: 'level',
  treated: true,
  layoutMode: 'sum',
  parts: [],
  edges: [],
  rows: system === 'us' ? blankRows('ft', 'acre') : blankRows('m', 'ha'),
  shownIn: system === 'us' ? 'ft2' : 'm2',
  winter: notInWinter(),
  notes: '',
});

/**
 * A site with one empty area.
 *
 * @example blankSite('a', 'us').areas.length // 1
 */
export const blankSite = (firstAreaId: string, system: 'us' | 'metric'): SiteInput => ({
  name: '',
  notes: '',
  place: { lat: '', lon: '' },
  pace: blankPace(system === 'us' ? 'ft' : 'm'),
  areas: [blankSiteArea(firstAreaId, system)],
});
