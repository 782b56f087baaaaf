import { attempt, InputError } from '../errors/InputError.ts';
import { readSize } from '../ground/size.ts';
import { readGrade, type Grade } from '../need/grade.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import { readName } from '../worksheet/heading.ts';
import { PRODUCT_KINDS, type ProductTyped } from './product.ts';

/** A product as read, SI; null where nothing, or nothing readable, was typed. Rates are kg/m2 or, for liquids, L/m2. */
export interface ProductReading {
  readonly form: 'dry' | 'liquid';
  readonly grade: Grade | null;
  readonly slowShare: number | null;
  readonly load: number | null;
  readonly densityKgPerL: number | null;
  /** Content of one package: kg, or L for a liquid. */
  readonly packageSi: number | null;
  /** Price of one package in hundredths. */
  readonly priceCents: number | null;
  readonly stockPackages: number | null;
  readonly coverageM2: number | null;
  readonly labelLow: number | null;
  readonly labelHigh: number | null;
  readonly mostPerYear: number | null;
  readonly leastIntervalDays: number | null;
  readonly errors: readonly InputError[];
}

const MOST_PRICE = 1e7;

/** "50", "50 %" -> 0.5 */
function readShare(typed: string, field: string): number {
  const { value } = attempt(() => readNumber(typed.replace('%', ''), field));
  if (value === null || value < 0 || value > 100)
    throw new InputError('percent.unreadable', { field, hint: '50 %' });
  return value / 100;
}

/** "24.50" -> 2450 */
function readPrice(typed: string, field: string): number {
  const { value } = attempt(() => readNumber(typed.replace(/[^\d.,\s-]/g, ''), field));
  const cents = value === null ? -1 : Math.round(value * 100);
  const whole = value !== null && Math.abs(cents - value * 100) < 1e-6;
  if (value === null || value < 0 || value > MOST_PRICE || !whole)
    throw new InputError('price.unreadable', { field, hint: '24.50' });
  return cents;
}

function readCount(typed: string, field: string, hint: string): number {
  const { value } = attempt(() => readNumber(typed, field));
  if (value === null || value < 0 || value > 1e6) throw new InputError('count.unreadable', { field, hint });
  return value;
}

/**
 * Reads all that was typed from a label. An empty field is missing, not wrong; a name is needed.
 *
 * @param typed the product as typed
 * @returns the readings, and every error with its field's path
 * @example readProduct({ ...blankProduct('dry-fertilizer', 'us'), name: 'Feed', grade: '24-0-8' }).grade?.stated.N // 0.24
 */
export function readProduct(typed: ProductTyped): ProductReading {
  const errors: InputError[] = [];
  const noting = <T>(read: () => T): T | null => {
    const { value, error } = attempt(read);
    if (error) errors.push(error);
    return value;
  };
  const ifTyped = <T>(text: string, read: () => T): T | null => (text.trim() === '' ? null : noting(read));
  const { form } = PRODUCT_KINDS[typed.kind];
  const { density, package: pack, coverage, labelRate } = typed;
  const rateKind = form === 'liquid' ? 'volumePerArea' : 'massPerArea';
  const rate = (text: string, field: string, what: string) =>
    ifTyped(text, () => readPositive(text, { kind: rateKind, bareUnit: labelRate.unit, field }, what).si);
  const quantity = (
    text: string,
    kind: 'density' | 'mass' | 'volume',
    bareUnit: (typeof density | typeof pack)['unit'],
    field: string,
    what: string,
  ) => ifTyped(text, () => readPositive(text, { kind, bareUnit, field }, what).si);

  noting(() => readName(typed.name, 'name', 'Lake feed 24-0-8'));
  const reading = {
    form,
    grade: ifTyped(typed.grade, () => readGrade(typed.grade, 'grade')),
    slowShare: ifTyped(typed.slowShare, () => readShare(typed.slowShare, 'slowShare')),
    load: ifTyped(typed.load, () => readShare(typed.load, 'load')),
    densityKgPerL: quantity(density.text, 'density', density.unit, 'density.text', 'The density'),
    packageSi: quantity(
      pack.size,
      form === 'liquid' ? 'volume' : 'mass',
      pack.unit,
      'package.size',
      'The package',
    ),
    priceCents: ifTyped(typed.price, () => readPrice(typed.price, 'price')),
    stockPackages: ifTyped(typed.stock, () => readCount(typed.stock, 'stock', '3.5')),
    coverageM2: ifTyped(coverage.size, () => readSize(coverage.size, coverage.unit, 'coverage.size').areaM2),
    labelLow: rate(labelRate.low, 'labelRate.low', 'The low rate'),
    labelHigh: rate(labelRate.high, 'labelRate.high', 'The high rate'),
    mostPerYear: rate(labelRate.mostPerYear, 'labelRate.mostPerYear', 'The most in a year'),
    leastIntervalDays: ifTyped(typed.leastIntervalDays, () =>
      readCount(typed.leastIntervalDays, 'leastIntervalDays', '28'),
    ),
  };
  if (reading.labelLow !== null && reading.labelHigh !== null && reading.labelLow > reading.labelHigh) {
    errors.push(
      new InputError('product.range', {
        field: 'labelRate.low',
        hint: `${labelRate.high} to ${labelRate.low}`,
      }),
    );
  }
  if (
    typed.kind === 'liquid-fertilizer' &&
    reading.grade &&
    reading.densityKgPerL === null &&
    density.text.trim() === ''
  ) {
    errors.push(new InputError('product.lacks-density', { field: 'density.text', hint: '1.28 kg/L' }));
  }
  return { ...reading, errors };
}
