import { common } from './en/common.ts';
import { load } from './en/load.ts';
import { csv } from './en/core/csv.ts';
import { run } from './en/core/run.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(csv, run);

/** What is said where a sheet is loaded: passes, coverage, blocks, what stands against it, the order. */
export const { list, rich, say } = sayer({ ...common, ...load });
export { nameOf, speak } from './speak.ts';
