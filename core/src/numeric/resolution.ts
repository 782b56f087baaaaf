import { finite } from '../errors/preconditions.ts';

/**
 * Standard uncertainty of a reading from its resolution: `r / sqrt(12)` (JCGM 100:2008, F.2.2.1).
 *
 * @example resolutionU(0.05) // 0.01443
 */
export const resolutionU = (resolutionSi: number): number => finite(resolutionSi / Math.sqrt(12));
