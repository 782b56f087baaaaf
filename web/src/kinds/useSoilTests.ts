import { soilTests } from '@steady-scatter/contract';
import { documentKind } from '../documents/documentKind.ts';

/** Soil tests, each of one piece of ground on one day. */
export const SOIL_TESTS = documentKind(soilTests);
