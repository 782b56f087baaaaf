import { common } from './en/common.ts';
import { today } from './en/today.ts';
import { sayer } from './say.ts';

/** What is said of today. */
export const { say } = sayer({ ...common, ...today });
