import { common } from './en/common.ts';
import { shell } from './en/shell.ts';
import { sayer } from './say.ts';

/** What stands around every screen: places, settings, what waits, and what is said when something breaks. */
export const { list, rich, say } = sayer({ ...common, ...shell });
export { nameOf, speak } from './speak.ts';
