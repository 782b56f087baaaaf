import { common } from './en/common.ts';
import { bench } from './en/bench.ts';
import { testRun } from './en/testRun.ts';
import { sayer } from './say.ts';

/** What the bench says: calibrations, test runs, cards, files of tests. */
export const { list, rich, say } = sayer({ ...common, ...bench, ...testRun });
