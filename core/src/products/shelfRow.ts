import { SALT_IDS } from '../wet/salts.ts';
import { message, type Speak } from '../messages/message.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { unitSpelled } from '../quantities/spelling.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import type { AreaUnit } from '../quantities/units.ts';
import type { PackageUnit } from '../loads/packages.ts';
import {
  blankProduct,
  PRODUCT_KIND_IDS,
  PRODUCT_KINDS,
  type ProductKind,
  type ProductInput,
} from './product.ts';
import { evaluateProduct } from './evaluateProduct.ts';
import type { ColumnId } from './shelfColumns.ts';

/** How the numbers of a file are written. */
export interface RowOptions {
  /** A comma marks decimals, as in files whose columns are separated by semicolons. */
  readonly decimalComma: boolean;
  /** What kinds are called in it. */
  readonly speak: Speak;
}

/** One row of a table of products, as a label; `errors` says why it cannot stand on the shelf. */
export interface ShelfRowResult {
  readonly input: ProductInput;
  readonly errors: readonly InputError[];
}

const NUMBERS = new Set<ColumnId>([
  'slow', 'load', 'density', 'package', 'price', 'stock', 'coverage', 'low', 'high', 'atOnce', 'perYear', 'interval',
  'sprayLow', 'sprayHigh', 'n', 'p', 'k',
]); // prettier-ignore

/** "'=A1" -> "=A1": the mark that an export sets before what a spreadsheet would run. */
const withoutMark = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '');

const isFormula = (cell: string): boolean => /^[=@]/.test(cell) || /^[+-](?![\d.,])/.test(cell);

/** "1.234,5" -> "1234.5" and "31,80" -> "31.80" where a comma marks decimals. */
const pointed = (cell: string): string =>
  cell.replace(/\d[\d.]*,\d+/g, (number) => number.replace(/\./g, '').replace(',', '.'));

function kindOf(input: string, cells: Cells, speak: Speak): ProductKind {
  const text = input.trim().toLowerCase();
  if (text === '') {
    if (cells('load') !== '') return 'granular-carrier';
    const wet = unitSpelled(
      cells('package')
        .replace(/^[\d\s.,]+/, '')
        .trim() || cells('packageUnit'),
      'volume',
    );
    return wet || cells('density') !== '' ? 'liquid-fertilizer' : 'dry-fertilizer';
  }
  const found = PRODUCT_KIND_IDS.find(
    (id) => id === text || speak(message(`kinds.product.${id}`)).toLowerCase() === text,
  );
  if (found) return found;
  throw new InputError('kind.unknown', { field: 'kind', input, kinds: PRODUCT_KIND_IDS.map((id) => message(`kinds.product.${id}`)) }); // prettier-ignore
}

type Cells = (id: ColumnId) => string;

function settingsOf(text: string): ProductInput['settings'] {
  return text
    .split(';')
    .map((one) => one.split('|').map((part) => part.trim()))
    .flatMap(([machine = '', setting = '', pace = '']) =>
      machine === '' && setting === '' ? [] : [{ machine, setting, pace }],
    );
}

/** The grade of a row: its own column, or three columns of percentages. */
function gradeOf(cells: Cells): string {
  if (cells('grade') !== '') return cells('grade');
  const three = (['n', 'p', 'k'] as const).map((id) => cells(id).replace('%', '').trim());
  return three.every((text) => text === '') ? '' : three.map((text) => text || '0').join('-');
}

/** What the water rate of a label means, by the word for it. */
const meansOf = (text: string, speak: Speak): ProductInput['carrier']['means'] =>
  (['mix', 'water'] as const).find((means) => speak(message(`csv.means.${means}`)) === text) ?? '';

/**
 * One row of a table as a product of the shelf.
 *
 * @param columns what each cell is, as columnsOf says
 * @param row the cells, as they stand in the file
 * @returns the label, and every reason why the row cannot be taken: formulas, unknown kinds, whatever evaluateProduct finds
 * @example readShelfRow(['name', 'grade'], ['Feed', '24-0-8'], { decimalComma: false, speak }).input.grade // '24-0-8'
 */
export function readShelfRow(
  columns: readonly (ColumnId | null)[],
  row: readonly string[],
  { decimalComma, speak }: RowOptions,
): ShelfRowResult {
  const errors: InputError[] = [];
  const texts = new Map<ColumnId, string>();
  columns.forEach((id, index) => {
    const cell = (row[index] ?? '').trim();
    if (id === null || cell === '') return;
    if (isFormula(cell)) errors.push(new InputError('csv.formula', { field: id, input: cell }));
    else texts.set(id, decimalComma && NUMBERS.has(id) ? pointed(withoutMark(cell)) : withoutMark(cell));
  });
  const cells: Cells = (id) => texts.get(id) ?? '';

  const kind = toResult(() => kindOf(cells('kind'), cells, speak));
  if (kind.error) errors.push(kind.error);
  const { form } = PRODUCT_KINDS[kind.value ?? 'dry-fertilizer'];
  const pack = cells('package');
  const named = unitSpelled(cells('packageUnit'), form === 'liquid' ? 'volume' : 'mass');
  const metric = /\b(kg|g|l|ml|m2|ha)\b/i.test(`${pack} ${cells('packageUnit')} ${cells('coverage')}`);
  const blank = blankProduct(kind.value ?? 'dry-fertilizer', metric ? 'metric' : 'us');
  const input: ProductInput = {
    ...blank,
    name: cells('name').replace(/\s+/g, ' '),
    grade: gradeOf(cells),
    gradeBasis: /w\/v|vol/i.test(cells('basis')) ? 'volume' : 'weight',
    slowShare: cells('slow'),
    activeIngredient: cells('ingredient'),
    load: cells('load'),
    density: { ...blank.density, text: cells('density') },
    package: { size: pack, unit: isBareNumber(pack) && named ? (named as PackageUnit) : blank.package.unit },
    price: cells('price'),
    stock: cells('stock'),
    coverage: { size: cells('coverage'), unit: blank.coverage.unit satisfies AreaUnit },
    labelRate: {
      ...blank.labelRate,
      low: cells('low'),
      high: cells('high'),
      mostAtOnce: cells('atOnce'),
      mostPerYear: cells('perYear'),
    },
    carrier: {
      ...blank.carrier,
      low: cells('sprayLow'),
      high: cells('sprayHigh'),
      means: meansOf(cells('sprayMeans'), speak),
    },
    salt:
      SALT_IDS.find(
        (id) => speak(message(`kinds.salt.${id}`)).toLowerCase() === cells('salt').toLowerCase(),
      ) ?? '',
    solubility: cells('solubility'),
    leastIntervalDays: cells('interval'),
    settings: settingsOf(cells('settings')),
    grainSize: cells('grain'),
    lot: cells('lot'),
    notes: cells('notes'),
  };
  return { input, errors: [...errors, ...evaluateProduct(input).errors] };
}
