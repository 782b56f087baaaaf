import { common } from './en/common.ts';
import { sheet } from './en/sheet.ts';
import { sayer } from './say.ts';

/** What a job and its sheet say. */
export const { list, rich, say } = sayer({ ...common, ...sheet });
export { nameOf, speak } from './speak.ts';
