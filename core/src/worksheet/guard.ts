import type { Kind } from '../quantities/kinds.ts';
import { isUnitOf } from '../quantities/units.ts';
import { PRODUCT_KINDS } from '../shelf/product.ts';
import { NEED_OF } from '../shelf/wanted.ts';
import type { ShownIn, WorksheetInput } from './typed.ts';

type Loose = Readonly<Record<string, unknown>>;

const isLoose = (value: unknown): value is Loose => typeof value === 'object' && value !== null;
const isUnit = (id: unknown, ...kinds: Kind[]): boolean =>
  typeof id === 'string' && kinds.some((kind) => isUnitOf(kind, id));
const isText = (value: unknown): value is string => typeof value === 'string';

/** True for a set of units to show worked-out values in. */
export const isShownIn = (value: unknown): value is ShownIn =>
  isLoose(value) &&
  (value['rate'] === null || isUnit(value['rate'], 'massPerArea', 'volumePerArea')) &&
  (value['amount'] === null || isUnit(value['amount'], 'mass', 'volume')) &&
  (value['area'] === null || isUnit(value['area'], 'area'));

const isArea = (area: unknown): boolean =>
  isLoose(area) &&
  isText(area['id']) &&
  isText(area['name']) &&
  isText(area['size']) &&
  isUnit(area['unit'], 'area') &&
  (area['from'] === undefined ||
    (isLoose(area['from']) && isText(area['from']['site']) && isText(area['from']['area'])));

const isLabel = (product: unknown): boolean =>
  isLoose(product) &&
  isText(product['kind']) &&
  product['kind'] in PRODUCT_KINDS &&
  isText(product['grade']) &&
  ['package', 'coverage', 'labelRate', 'carrier', 'scoop', 'density'].every((part) => isLoose(product[part]));

/**
 * True for something that has the shape of a worksheet, whatever its texts say: for what comes back from a browser's
 * storage, which may be of another version or damaged.
 *
 * @example isWorksheetInput(blankWorksheet('us', 'a')) // true
 */
export function isWorksheetInput(value: unknown): value is WorksheetInput {
  if (!isLoose(value) || !Array.isArray(value['areas'])) return false;
  const { need, product, areas, carrier, split, rules, spread, shownIn } = value;
  return (
    isLoose(need) &&
    isText(need['amount']) &&
    isUnit(need['unit'], 'massPerArea', 'volumePerArea') &&
    isText(need['of']) &&
    need['of'] in NEED_OF &&
    isLabel(product) &&
    areas.every(isArea) &&
    isLoose(carrier) &&
    isText(carrier['amount']) &&
    isUnit(carrier['unit'], 'volumePerArea') &&
    isLoose(split) &&
    isText(split['portions']) &&
    isText(split['everyDays']) &&
    isLoose(rules) &&
    Array.isArray(rules['soFar']) &&
    isLoose(spread) &&
    isText(spread['calibration']) &&
    Array.isArray(value['confirmed']) &&
    isLoose(spread['width']) &&
    isShownIn(shownIn)
  );
}
