import { rigs } from '@steady-scatter/contract';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Machines, with the marks of their controls. */
export const RIGS = documentKind(rigs);

/** All machines of the crew. */
export const useRigs = () => useDocs(RIGS);
