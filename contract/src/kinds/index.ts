// Kinds: everything that a crew stores, changes and deletes with undo. Routes, tables, lists, search, demo, files and backup follow.
import { calibrations } from './calibrations.ts';
import { guides } from './guides.ts';
import { jobs } from './jobs.ts';
import type { Columns, Kind, RowOf } from './kind.ts';
import { nozzles } from './nozzles.ts';
import { openRuns } from './openRuns.ts';
import { people } from './people.ts';
import { plans } from './plans.ts';
import { products } from './products.ts';
import { rigs } from './rigs.ts';
import { ruleSets } from './ruleSets.ts';
import { sites } from './sites.ts';
import { soilTests } from './soilTests.ts';
import { storms } from './storms.ts';
import { walks } from './walks.ts';
import { widthTests } from './widthTests.ts';
import { winters } from './winters.ts';

/** Every stored kind by its name; what leans on others stands after them. */
export const KINDS = {
  products,
  people,
  sites,
  nozzles,
  rigs,
  calibrations,
  openRuns,
  widthTests,
  soilTests,
  ruleSets,
  guides,
  winters,
  storms,
  jobs,
  plans,
  walks,
} as const;

export type KindName = keyof typeof KINDS;
export const KIND_NAMES = Object.keys(KINDS) as KindName[];

/** What is typed of one. */
export type InputOf<Of> = Of extends Kind<string, infer Input, infer _Result, infer _Columns> ? Input : never;
/** The columns of its list. */
export type ColumnsOf<Of> =
  Of extends Kind<string, infer _Input, infer _Result, infer Found extends Columns> ? RowOf<Found> : never;
