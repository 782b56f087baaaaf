import { common } from './en/common.ts';
import { bench } from './en/bench.ts';
import { testRun } from './en/testRun.ts';
import { advice } from './en/core/advice.ts';
import { card } from './en/core/card.ts';
import { cautions } from './en/core/cautions.ts';
import { coarse } from './en/core/coarse.ts';
import { csv } from './en/core/csv.ts';
import { methods } from './en/core/methods.ts';
import { plan } from './en/core/plan.ts';
import { practice } from './en/core/practice.ts';
import { readings } from './en/core/readings.ts';
import { remarks } from './en/core/remarks.ts';
import { sayer } from './say.ts';
import { learn } from './speak.ts';

learn(advice, card, cautions, coarse, csv, methods, plan, practice, readings, remarks);

/** What the bench says: calibrations, test runs, cards, files of tests. */
export const { list, rich, say } = sayer({ ...common, ...bench, ...testRun });
export { nameOf, speak } from './speak.ts';
