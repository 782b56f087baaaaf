import { grouped } from '../fields/grouped.ts';
import type { PortionInput } from './planInput.ts';

/** What goes out together: the same amount of a product on the areas of one site on one day. */
export interface PortionGroup {
  /** The id of its first portion: it stays the same while the whole is moved. */
  readonly id: string;
  readonly portions: readonly PortionInput[];
}

/**
 * Portions as people speak of them: what goes on one site on one day is one thing, whatever the number of its areas.
 *
 * @param apart keeps portions apart that would go together otherwise: what is spread from what is not
 * @returns by day, then by site and product
 * @example portionGroups([]) // []
 */
export function portionGroups(
  portions: readonly PortionInput[],
  apart: (portion: PortionInput) => string = () => '',
): PortionGroup[] {
  const keyOf = (portion: PortionInput) => {
    const { onDay, siteName, site, productName, nutrient: of, amount, unit, hold } = portion;
    return [onDay, siteName, site, productName, of, amount, unit, hold, apart(portion)].join('\n');
  };
  return [...grouped(portions, keyOf)]
    .toSorted(([a], [b]) => a.localeCompare(b))
    .map(([, own]) => ({ id: own.map(({ id }) => id).toSorted()[0]!, portions: own }));
}
