import { common } from './en/common.ts';
import { shelf } from './en/shelf.ts';
import { csv } from './en/core/csv.ts';
import { mix } from './en/core/mix.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(csv, mix);

/** What the shelf says: products, labels compared, soil tests, mixes. */
export const { list, rich, say } = sayer({ ...common, ...shelf });
export { nameOf, speak } from './speak.ts';
