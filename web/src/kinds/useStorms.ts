import { storms } from '@steady-scatter/contract';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Storms, each with its route; rounds are appended beside them. */
export const STORMS = documentKind(storms);

export const useStorms = () => useDocs(STORMS);
