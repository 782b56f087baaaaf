import { common } from './en/common.ts';
import { sites } from './en/sites.ts';
import { sayer } from './say.ts';

/** What is said of sites: areas, their parts and edges, boundaries from files, plans. */
export const { list, rich, say } = sayer({ ...common, ...sites });
