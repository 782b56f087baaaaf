import { jobs } from '@steady-scatter/contract';
import { docActs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Jobs: worksheets under a name, for a day. One that is not done is saved all the same; one that is wrong is not. */
export const JOBS = documentKind(jobs);

/** Deletes and restores jobs. */
export const jobActs = docActs(JOBS);
