import { UNITS, type UnitId } from '@steady-scatter/core/quantities';

/** Weights that are poured and weighed by hand. */
export const HAND_WEIGHTS = ['lb', 'oz', 'kg', 'g'] as const;

/** Units as a list to choose from, each by its symbol. */
export const unitChoices = <Id extends UnitId>(units: readonly Id[]) =>
  units.map((id) => ({ id, label: UNITS[id].symbol }));
