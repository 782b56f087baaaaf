import { showExact, showQuantity, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import { inMeasures, readMeasures, type Measure } from '@steady-scatter/core/wet';
import { toResult } from '@steady-scatter/core/errors';

const SMALLER: Readonly<Partial<Record<UnitId, UnitId>>> = { gal: 'fl oz', L: 'mL', lb: 'oz', kg: 'g' };

/** An amount in a unit that one can measure it in: fluid ounces below a gallon, grams below a kilogram. */
export function amountText(si: number, unit: UnitId, figures = 3): string {
  const small = SMALLER[unit];
  const shown =
    small && si < UNITS[unit].toSi ? showQuantity(si, small, figures) : showQuantity(si, unit, figures);
  return `${showExact(Number(shown.number.replaceAll(/\s/g, '')), figures)} ${shown.unit}`;
}

/** The crew's cups and jugs; none where the line cannot be read. */
export const measuresOf = (line: string): readonly Measure[] =>
  toResult(() => readMeasures(line, 'measures')).value ?? [];

/** "2 blue jugs + 1.5 cups": the same in the crew's own measures; empty without any. */
export const inOwnMeasures = (volumeL: number, measures: readonly Measure[]): string =>
  inMeasures(volumeL, measures).map(({ name, count }) => `${showExact(count, 2)} × ${name}`).join(' + '); // prettier-ignore
