import { common } from './en/common.ts';
import { report } from './en/report.ts';
import { sayer } from './say.ts';

/** What is said of the report of a season. */
export const { say } = sayer({ ...common, ...report });
