import { common } from './en/common.ts';
import { people } from './en/people.ts';
import { sayer } from './say.ts';

/** What is said of who spreads. */
export const { say } = sayer({ ...common, ...people });
