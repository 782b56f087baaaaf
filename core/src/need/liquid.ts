import { message } from '../messages/message.ts';
import { finite, requirePositive } from '../errors/preconditions.ts';
import { InputError } from '../errors/InputError.ts';
import { fractionOf, type Grade } from './grade.ts';
import type { Nutrient } from './nutrients.ts';

/**
 * Volume of a liquid fertilizer for a need: `L/m2 = kg nutrient per m2 / (mass fraction x density)`. The label's
 * percent is by mass; a label that states g/L is a density times a fraction already, `concentrationKgPerL`.
 *
 * @param needKgPerM2 nutrient wanted, kg/m2, above 0
 * @param concentrationKgPerL nutrient in one litre of product, kg/L, above 0
 * @returns L/m2
 * @example liquidRate(0.0025, concentration(readGrade('28-0-0', 'grade'), 'N', 1.28)) // 0.00697545 L/m2
 */
export function liquidRate(needKgPerM2: number, concentrationKgPerL: number): number {
  requirePositive({ concentrationKgPerL });
  return finite(needKgPerM2 / concentrationKgPerL);
}

/**
 * Nutrient in one litre of a liquid whose grade is by mass.
 *
 * @param densityKgPerL density of the product, kg/L, above 0
 * @returns kg/L
 * @throws InputError grade.lacks when the product holds none of the nutrient
 * @example concentration(readGrade('28-0-0', 'grade'), 'N', 1.28) // 0.3584
 */
export function concentration(grade: Grade, nutrient: Nutrient, densityKgPerL: number): number {
  const fraction = fractionOf(grade, nutrient);
  if (fraction <= 0) {
    throw new InputError('grade.lacks', {
      field: 'grade',
      grade: grade.input.trim(),
      nutrient: message(`kinds.nutrient.${nutrient}`),
    });
  }
  requirePositive({ densityKgPerL });
  return finite(fraction * densityKgPerL);
}
