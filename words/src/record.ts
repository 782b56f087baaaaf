import { common } from './en/common.ts';
import { record } from './en/record.ts';
import { conditions } from './en/core/conditions.ts';
import { csv } from './en/core/csv.ts';
import { log } from './en/log.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(conditions, csv);

/** What is said of work that was done. */
export const { list, rich, say } = sayer({ ...common, ...record, ...log });
export { nameOf, speak } from './speak.ts';
