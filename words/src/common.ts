import { common } from './en/common.ts';
import { sayer } from './say.ts';

/** What every screen says. */
export const { list, rich, say } = sayer(common);
export { nameOf, speak } from './speak.ts';
