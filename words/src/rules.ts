import { common } from './en/common.ts';
import { rules } from './en/rules.ts';
import { sayer } from './say.ts';

/** What is said of rules: sets of them, and a sheet checked against one. */
export const { list, rich, say } = sayer({ ...common, ...rules });
