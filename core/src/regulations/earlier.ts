import { inForm, otherForm, type Nutrient } from '../need/nutrients.ts';
import type { SoFar } from '../need/soFar.ts';

/** What was put down of a nutrient before, in the form asked for: oxide and elemental count as one, kg/m2. */
export const earlier = (soFar: readonly SoFar[], nutrient: Nutrient): number =>
  soFar.reduce((sum, one) => {
    const same = one.nutrient === nutrient || otherForm(nutrient) === one.nutrient;
    return same ? sum + inForm(one.kgPerM2, one.nutrient, nutrient) : sum;
  }, 0);
