import { common } from './en/common.ts';
import { limits } from './en/limits.ts';
import { sayer } from './say.ts';

/** What is said of limits of the weather. */
export const { say } = sayer({ ...common, ...limits });
