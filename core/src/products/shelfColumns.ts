import { isBareNumber } from '../quantities/numbers.ts';
import { UNITS, type UnitId } from '../quantities/units.ts';
import { PRODUCT_KINDS, type LabelSetting, type ProductInput } from './product.ts';

/** One column of the shelf as a table: its heading, other headings people use for it, and how a label fills it. */
export interface ShelfColumn {
  readonly id: ColumnId;
  readonly heading: string;
  /** Lower case, letters and digits only. */
  readonly alsoCalled: readonly string[];
  textOf(input: ProductInput): string;
}

/** Everything that a table of products can say; nitrogen, phosphate and potash stand for a grade in three columns. */
export type ColumnId =
  | 'name' | 'kind' | 'grade' | 'n' | 'p' | 'k' | 'basis' | 'slow' | 'ingredient' | 'load' | 'density' | 'package'
  | 'packageUnit' | 'price' | 'stock' | 'coverage' | 'low' | 'high' | 'atOnce' | 'perYear' | 'interval' | 'sprayLow'
  | 'sprayHigh' | 'settings' | 'grain' | 'lot' | 'notes'; // prettier-ignore

/** A bare number with its unit, so that a cell says all by itself. */
const withUnit = (text: string, unit: UnitId): string =>
  isBareNumber(text) ? `${text} ${UNITS[unit].symbol.replace(/²/g, '2').replace(/ \/ /, '/')}` : text;

const settingText = ({ machine, setting, pace }: LabelSetting): string =>
  [machine, setting, pace].map((part) => part.replace(/[|;]/g, ' ')).join(' | ');

const column = (
  id: ColumnId,
  heading: string,
  alsoCalled: string,
  textOf: ShelfColumn['textOf'],
): ShelfColumn => ({ id, heading, alsoCalled: alsoCalled.split(' ').filter(Boolean), textOf });

const nothing = () => '';

/** The columns, in the order of an export. The last ones are only read: they are other ways to say the same. */
export const SHELF_CSV: readonly ShelfColumn[] = [
  column('name', 'Name', 'product productname item description', ({ name }) => name),
  column('kind', 'Kind', 'type category', ({ kind }) => PRODUCT_KINDS[kind].words),
  column('grade', 'Grade', 'analysis npk guaranteedanalysis', ({ grade }) => grade),
  column('basis', 'Percent of', 'gradebasis basis', ({ gradeBasis, grade }) =>
    grade === '' ? '' : gradeBasis === 'volume' ? 'volume (w/v)' : 'weight',
  ),
  column('slow', 'Slow share of N', 'slow slowrelease slown srn', ({ slowShare }) => slowShare),
  column(
    'ingredient',
    'Active ingredient',
    'ai activeingredients',
    ({ activeIngredient }) => activeIngredient,
  ),
  column('load', 'Active ingredient share', 'aipercent load aishare', ({ load }) => load),
  column('density', 'Density', 'bulkdensity', ({ density }) => withUnit(density.text, density.unit)),
  column(
    'package',
    'Package',
    'bag bagsize packagesize size netweight weight container',
    ({ package: pack }) => withUnit(pack.size, pack.unit),
  ),
  column('price', 'Price each', 'price cost unitprice pricebag', ({ price }) => price),
  column('stock', 'In stock', 'stock quantity qty onhand bags packages count', ({ stock }) => stock),
  column('coverage', 'One package covers', 'covers coverage', ({ coverage }) =>
    withUnit(coverage.size, coverage.unit),
  ),
  column('low', 'Lowest rate', 'low lowrate minrate rate', ({ labelRate }) =>
    withUnit(labelRate.low, labelRate.unit),
  ),
  column('high', 'Highest rate', 'high highrate maxrate', ({ labelRate }) =>
    withUnit(labelRate.high, labelRate.unit),
  ),
  column('atOnce', 'Most at once', 'maxapplication', ({ labelRate }) =>
    withUnit(labelRate.mostAtOnce, labelRate.unit),
  ),
  column('perYear', 'Most in a year', 'maxperyear annualmax', ({ labelRate }) =>
    withUnit(labelRate.mostPerYear, labelRate.unit),
  ),
  column('interval', 'Least days between', 'interval days', ({ leastIntervalDays }) => leastIntervalDays),
  column('sprayLow', 'Least spray volume', 'carrierlow', ({ carrier }) =>
    withUnit(carrier.low, carrier.unit),
  ),
  column('sprayHigh', 'Most spray volume', 'carrierhigh', ({ carrier }) =>
    withUnit(carrier.high, carrier.unit),
  ),
  column('settings', 'Printed settings', 'settings setting', ({ settings }) =>
    settings.map(settingText).join('; '),
  ),
  column('grain', 'Grain size', 'sgn grainsizenumber', ({ grainSize }) => grainSize),
  column('lot', 'Lot', 'lotnumber batch', ({ lot }) => lot),
  column('notes', 'Notes', 'note remarks comment comments', ({ notes }) => notes),
  column('n', 'N', 'nitrogen npercent', nothing),
  column('p', 'P2O5', 'p phosphate phosphorus', nothing),
  column('k', 'K2O', 'k potash potassium', nothing),
  column('packageUnit', 'Unit', 'units packageunit bagunit uom', nothing),
];

const plain = (heading: string): string => heading.toLowerCase().replace(/[^a-z0-9]/g, '');

/**
 * What each heading of a file stands for; null where it is not known. Each column is taken once.
 *
 * @example columnsOf(['Name', 'Colour']) // ['name', null]
 */
export function columnsOf(headings: readonly string[]): (ColumnId | null)[] {
  const taken = new Set<ColumnId>();
  return headings.map((heading) => {
    const text = plain(heading);
    const found = SHELF_CSV.find((one) => plain(one.heading) === text || one.alsoCalled.includes(text));
    if (!found || taken.has(found.id)) return null;
    taken.add(found.id);
    return found.id;
  });
}

/**
 * The table that a shelf is exported as: headings first, then a row for each product.
 *
 * @example shelfTable([lakeFeed])[1][0] // 'Lake feed 24-0-8'
 */
export const shelfTable = (products: readonly ProductInput[]): string[][] => {
  const columns = SHELF_CSV.filter(({ textOf }) => textOf !== nothing);
  return [
    columns.map(({ heading }) => heading),
    ...products.map((input) => columns.map(({ textOf }) => textOf(input))),
  ];
};
