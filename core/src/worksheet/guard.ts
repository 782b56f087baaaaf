import { NUTRIENT_IDS } from '../need/nutrients.ts';
import type { Kind } from '../quantities/kinds.ts';
import { isUnitOf } from '../quantities/units.ts';
import type { ShownIn, WorksheetTyped } from './typed.ts';

type Loose = Readonly<Record<string, unknown>>;

const isLoose = (value: unknown): value is Loose => typeof value === 'object' && value !== null;
const isUnit = (kind: Kind, id: unknown): boolean => typeof id === 'string' && isUnitOf(kind, id);
const isUnitOrNull = (kind: Kind, id: unknown): boolean => id === null || isUnit(kind, id);
const isSized = (kind: Kind, value: unknown): value is Loose =>
  isLoose(value) && typeof value['size'] === 'string' && isUnit(kind, value['unit']);

/** True for a set of units to show worked-out values in. */
export const isShownIn = (value: unknown): value is ShownIn =>
  isLoose(value) &&
  isUnitOrNull('massPerArea', value['rate']) &&
  isUnitOrNull('mass', value['amount']) &&
  isUnitOrNull('area', value['area']);

/**
 * True for something that has the shape of a worksheet, whatever its texts say: for what comes back from a browser's
 * storage, which may be of another version or damaged.
 *
 * @example isWorksheetTyped(blankWorksheet('us', 'a')) // true
 */
export function isWorksheetTyped(value: unknown): value is WorksheetTyped {
  if (!isLoose(value) || !isLoose(value['need']) || !Array.isArray(value['areas'])) return false;
  const { need, grade, areas, package: pack, coverage, shownIn } = value;
  return (
    typeof need['amount'] === 'string' &&
    isUnit('massPerArea', need['unit']) &&
    NUTRIENT_IDS.some((id) => id === need['nutrient']) &&
    typeof grade === 'string' &&
    areas.every(
      (area) => isSized('area', area) && typeof area['id'] === 'string' && typeof area['name'] === 'string',
    ) &&
    isSized('mass', pack) &&
    isSized('area', coverage) &&
    isShownIn(shownIn)
  );
}
