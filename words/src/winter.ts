import { common } from './en/common.ts';
import { winter } from './en/winter.ts';
import { sayer } from './say.ts';

/** What is said of winter work. */
export const { list, rich, say } = sayer({ ...common, ...winter });
export { speak } from './speak.ts';
