import { common } from './en/common.ts';
import { shelf } from './en/shelf.ts';
import { sayer } from './say.ts';

/** What the shelf says: products, labels compared, soil tests, mixes. */
export const { list, rich, say } = sayer({ ...common, ...shelf });
