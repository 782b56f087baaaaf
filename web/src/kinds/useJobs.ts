import { jobs } from '@steady-scatter/contract';
import { docActs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Jobs: worksheets under a name, for a day. One whose worksheet is not done is saved all the same. */
export const JOBS = documentKind(jobs, { stops: ({ field }) => !/^(worksheet|load)\b/.test(field) });

/** Deletes and restores jobs. */
export const jobActs = docActs(JOBS);
