import { jobs } from '@steady-scatter/contract';
import { docActs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Jobs: worksheets under a name, for a day. */
export const JOBS = documentKind(jobs);

/** Keeps, deletes and restores jobs. */
export const jobActs = docActs(JOBS);
