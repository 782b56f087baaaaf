import { message, type Message, type Speak } from '../messages/message.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { UNITS, type UnitId } from '../quantities/units.ts';
import type { LabelSetting, ProductInput } from './product.ts';

/** One column of the shelf as a table: other headings that people use for it, and how a label fills it. */
export interface ShelfColumn {
  readonly id: ColumnId;
  /** Lower case, letters and digits only. */
  readonly alsoCalled: readonly string[];
  textOf(input: ProductInput, speak: Speak): string;
}

/** Everything that a table of products can say; nitrogen, phosphate and potash stand for a grade in three columns. */
export type ColumnId =
  | 'name' | 'kind' | 'grade' | 'n' | 'p' | 'k' | 'basis' | 'slow' | 'ingredient' | 'load' | 'density' | 'package'
  | 'packageUnit' | 'price' | 'stock' | 'coverage' | 'low' | 'high' | 'atOnce' | 'perYear' | 'interval' | 'sprayLow'
  | 'sprayHigh' | 'sprayMeans' | 'salt' | 'solubility' | 'settings' | 'grain' | 'lot' | 'notes'; // prettier-ignore

/** A bare number with its unit, so that a cell says all by itself. */
const withUnit = (text: string, unit: UnitId): string =>
  isBareNumber(text) ? `${text} ${UNITS[unit].symbol.replace(/²/g, '2').replace(/ \/ /, '/')}` : text;

const settingText = ({ machine, setting, pace }: LabelSetting): string =>
  [machine, setting, pace].map((part) => part.replace(/[|;]/g, ' ')).join(' | ');

const column = (id: ColumnId, alsoCalled: string, textOf: ShelfColumn['textOf']): ShelfColumn => ({
  id,
  alsoCalled: alsoCalled.split(' ').filter(Boolean),
  textOf,
});

const nothing = () => '';

/** The columns, in the order of an export. The last ones are only read: they are other ways to say the same. */
export const SHELF_CSV: readonly ShelfColumn[] = [
  column('name', 'product productname item description', ({ name }) => name),
  column('kind', 'type category', ({ kind }, speak) => speak(message(`kinds.product.${kind}`))),
  column('grade', 'analysis npk guaranteedanalysis', ({ grade }) => grade),
  column('basis', 'gradebasis basis', ({ gradeBasis, grade }, speak) =>
    grade === '' ? '' : speak(message(`csv.basis.${gradeBasis}`)),
  ),
  column('slow', 'slow slowrelease slown srn', ({ slowShare }) => slowShare),
  column('ingredient', 'ai activeingredients', ({ activeIngredient }) => activeIngredient),
  column('load', 'aipercent load aishare', ({ load }) => load),
  column('density', 'bulkdensity', ({ density }) => withUnit(density.text, density.unit)),
  column('package', 'bag bagsize packagesize size netweight weight container', ({ package: pack }) =>
    withUnit(pack.size, pack.unit),
  ),
  column('price', 'price cost unitprice pricebag', ({ price }) => price),
  column('stock', 'stock quantity qty onhand bags packages count', ({ stock }) => stock),
  column('coverage', 'covers coverage', ({ coverage }) => withUnit(coverage.size, coverage.unit)),
  column('low', 'low lowrate minrate rate', ({ labelRate }) => withUnit(labelRate.low, labelRate.unit)),
  column('high', 'high highrate maxrate', ({ labelRate }) => withUnit(labelRate.high, labelRate.unit)),
  column('atOnce', 'maxapplication', ({ labelRate }) => withUnit(labelRate.mostAtOnce, labelRate.unit)),
  column('perYear', 'maxperyear annualmax', ({ labelRate }) =>
    withUnit(labelRate.mostPerYear, labelRate.unit),
  ),
  column('interval', 'interval days', ({ leastIntervalDays }) => leastIntervalDays),
  column('sprayLow', 'carrierlow', ({ carrier }) => withUnit(carrier.low, carrier.unit)),
  column('sprayHigh', 'carrierhigh', ({ carrier }) => withUnit(carrier.high, carrier.unit)),
  column('sprayMeans', 'watermeans', ({ carrier: { means } }, speak) =>
    means === '' ? '' : speak(message(`csv.means.${means}`)),
  ),
  column('salt', 'salt compound', ({ salt }, speak) =>
    salt === '' ? '' : speak(message(`kinds.salt.${salt}`)),
  ),
  column('solubility', 'solubility', ({ solubility }) => solubility),
  column('settings', 'settings setting', ({ settings }) => settings.map(settingText).join('; ')),
  column('grain', 'sgn grainsizenumber', ({ grainSize }) => grainSize),
  column('lot', 'lotnumber batch', ({ lot }) => lot),
  column('notes', 'note remarks comment comments', ({ notes }) => notes),
  column('n', 'nitrogen npercent', nothing),
  column('p', 'p phosphate phosphorus', nothing),
  column('k', 'k potash potassium', nothing),
  column('packageUnit', 'units packageunit bagunit uom', nothing),
];

/**
 * What a column is called.
 *
 * @example speak(columnHeading('grade')) // 'Grade'
 */
export const columnHeading = (id: ColumnId): Message => message(`csv.shelf.${id}`);

const plain = (heading: string): string => heading.toLowerCase().replace(/[^a-z0-9]/g, '');

/**
 * What each heading of a file stands for; null where it is not known. Each column is taken once.
 *
 * @example columnsOf(['Name', 'Colour'], speak) // ['name', null]
 */
export function columnsOf(headings: readonly string[], speak: Speak): (ColumnId | null)[] {
  const taken = new Set<ColumnId>();
  return headings.map((heading) => {
    const text = plain(heading);
    const found = SHELF_CSV.find(
      (one) => plain(speak(columnHeading(one.id))) === text || one.alsoCalled.includes(text),
    );
    if (!found || taken.has(found.id)) return null;
    taken.add(found.id);
    return found.id;
  });
}

/**
 * The table that a shelf is exported as: headings first, then a row for each product.
 *
 * @example shelfTable([lakeFeed], speak)[1][0] // 'Lake feed 24-0-8'
 */
export const shelfTable = (products: readonly ProductInput[], speak: Speak): string[][] => {
  const columns = SHELF_CSV.filter(({ textOf }) => textOf !== nothing);
  return [
    columns.map(({ id }) => speak(columnHeading(id))),
    ...products.map((input) => columns.map(({ textOf }) => textOf(input, speak))),
  ];
};
