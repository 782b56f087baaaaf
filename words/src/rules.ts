import { common } from './en/common.ts';
import { rules } from './en/rules.ts';
import { csv } from './en/core/csv.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(csv);

/** What is said of rules: sets of them, and a sheet checked against one. */
export const { list, rich, say } = sayer({ ...common, ...rules });
export { nameOf, speak } from './speak.ts';
