import { common } from './en/common.ts';
import { sites } from './en/sites.ts';
import { ground } from './en/core/ground.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(ground);

/** What is said of sites: areas, their parts and edges, boundaries from files, plans. */
export const { list, rich, say } = sayer({ ...common, ...sites });
export { nameOf, speak } from './speak.ts';
