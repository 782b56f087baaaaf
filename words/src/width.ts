import { common } from './en/common.ts';
import { width } from './en/width.ts';
import { sayer } from './say.ts';

/** What is said of tray tests and pass spacing. */
export const { list, rich, say } = sayer({ ...common, ...width });
