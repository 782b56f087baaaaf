import { common } from './en/common.ts';
import { looks } from './en/looks.ts';
import { sayer } from './say.ts';

/** What is said of a look weeks after. */
export const { say } = sayer({ ...common, ...looks });
