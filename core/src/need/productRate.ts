import { message } from '../messages/message.ts';
import { finite } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';
import { fractionOf, type Grade } from './grade.ts';
import { otherForm, type Nutrient } from './nutrients.ts';

/**
 * How much product puts down a wanted mass of nutrient: `product rate = nutrient target / mass fraction`.
 *
 * @param needKgPerM2 nutrient wanted, kg/m2, above 0
 * @param nutrient the nutrient, in the form the need is stated in
 * @param grade the product's analysis
 * @returns product rate in kg/m2
 * @throws InputError grade.lacks when the product holds none of the nutrient
 * @example productRate(0.004, 'N', readGrade('24-0-8', 'grade')) // 0.0166667 kg/m2, i.e. 40 -> 166.67 kg/ha
 */
export function productRate(needKgPerM2: number, nutrient: Nutrient, grade: Grade): number {
  const fraction = fractionOf(grade, nutrient);
  if (fraction <= 0) {
    throw new InputError('grade.lacks', { field: 'grade', grade: grade.input.trim(), nutrient: message(`kinds.nutrient.${nutrient}`) }); // prettier-ignore
  }
  return finite(needKgPerM2 / fraction);
}

/**
 * The nutrient that a product rate puts down: the way back, `nutrient = product rate x mass fraction`.
 *
 * @param rateKgPerM2 product rate, kg/m2, 0 or more
 * @returns kg/m2 of the nutrient in the form asked for
 * @example nutrientAtRate(1, 'N', readGrade('24-0-8', 'grade')) // 0.24
 */
export const nutrientAtRate = (rateKgPerM2: number, nutrient: Nutrient, grade: Grade): number =>
  finite(rateKgPerM2 * fractionOf(grade, nutrient));

/** What a product rate delivers of one nutrient, per area, with the other form of P and K beside it. */
export interface Delivered {
  readonly nutrient: Nutrient;
  readonly kgPerM2: number;
  readonly other: { readonly nutrient: Nutrient; readonly kgPerM2: number } | null;
}

/**
 * Everything a product rate delivers: each nutrient that the label states, zeros of the main three included.
 *
 * @param rateKgPerM2 product rate, kg/m2, 0 or more
 * @example deliveredAtRate(1, readGrade('24-0-8', 'grade')).map((d) => d.kgPerM2) // [0.24, 0, 0.08]
 */
export function deliveredAtRate(rateKgPerM2: number, grade: Grade): Delivered[] {
  return (Object.keys(grade.stated) as Nutrient[]).map((nutrient) => {
    const other = otherForm(nutrient);
    return {
      nutrient,
      kgPerM2: nutrientAtRate(rateKgPerM2, nutrient, grade),
      other: other && { nutrient: other, kgPerM2: nutrientAtRate(rateKgPerM2, other, grade) },
    };
  });
}
