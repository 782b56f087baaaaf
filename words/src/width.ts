import { common } from './en/common.ts';
import { width } from './en/width.ts';
import { csv } from './en/core/csv.ts';
import { pattern } from './en/core/pattern.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(csv, pattern);

/** What is said of tray tests and pass spacing. */
export const { list, rich, say } = sayer({ ...common, ...width });
export { nameOf, speak } from './speak.ts';
