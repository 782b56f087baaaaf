import { common } from './en/common.ts';
import { rigs } from './en/rigs.ts';
import { sayer } from './say.ts';

/** What is said of machines. */
export const { list, rich, say } = sayer({ ...common, ...rigs });
export { nameOf, speak } from './speak.ts';
