import { common } from './en/common.ts';
import { walk } from './en/walk.ts';
import { sayer } from './say.ts';

/** What is said while a run is walked. */
export const { list, rich, say } = sayer({ ...common, ...walk });
export { nameOf, speak } from './speak.ts';
