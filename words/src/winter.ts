import { common } from './en/common.ts';
import { winter } from './en/winter.ts';
import { csv } from './en/core/csv.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(csv);

/** What is said of winter work. */
export const { list, rich, say } = sayer({ ...common, ...winter });
export { nameOf, speak } from './speak.ts';
