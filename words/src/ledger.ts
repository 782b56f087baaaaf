import { common } from './en/common.ts';
import { ledger } from './en/ledger.ts';
import { sayer } from './say.ts';

/** What is said of the ledger. */
export const { say } = sayer({ ...common, ...ledger });
export { speak } from './speak.ts';
