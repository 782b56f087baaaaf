import { common } from './en/common.ts';
import { record } from './en/record.ts';
import { csv } from './en/core/csv.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(csv);

/** What is said of work that was done. */
export const { list, rich, say } = sayer({ ...common, ...record });
export { nameOf, speak } from './speak.ts';
