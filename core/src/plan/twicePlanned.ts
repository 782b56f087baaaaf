import { daysApart } from '../fields/days.ts';
import { nameKey } from '../fields/nameKey.ts';
import type { PortionInput } from './planInput.ts';
import { NEAR_DAYS } from './portionStates.ts';

/** A plan by its name. */
export interface NamedPlan {
  readonly name: string;
  readonly portions: readonly PortionInput[];
}

/** A portion that stands in two plans, it seems. */
export interface PlannedTwice {
  /** Of the plan that is looked at. */
  readonly id: string;
  readonly plan: string;
  readonly onDay: string;
}

/**
 * What another plan has too: the same product on the same area within two weeks. Two people may have planned the same thing.
 *
 * @example twicePlanned([], [{ name: 'Lake', portions: [] }]) // []
 */
export const twicePlanned = (
  portions: readonly PortionInput[],
  others: readonly NamedPlan[],
): PlannedTwice[] =>
  portions.flatMap(({ id, area, productName, onDay }) =>
    others.flatMap(({ name, portions: theirs }) =>
      theirs
        .filter(
          (each) =>
            each.area === area &&
            nameKey(each.productName) === nameKey(productName) &&
            daysApart(each.onDay, onDay) <= NEAR_DAYS,
        ) // prettier-ignore
        .map((each) => ({ id, plan: name, onDay: each.onDay })),
    ),
  );
