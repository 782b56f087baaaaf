import { common } from './en/common.ts';
import { sayer } from './say.ts';

/** What every screen says. */
export const { say, rich } = sayer(common);
