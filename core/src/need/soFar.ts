import type { Nutrient } from './nutrients.ts';

/** What was put down earlier in the year, kg/m2. */
export interface SoFar {
  readonly nutrient: Nutrient;
  readonly kgPerM2: number;
}
