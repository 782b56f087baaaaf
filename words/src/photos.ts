import { common } from './en/common.ts';
import { photos } from './en/photos.ts';
import { sayer } from './say.ts';

/** What is said of photos. */
export const { say } = sayer({ ...common, ...photos });
