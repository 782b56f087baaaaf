import { collect } from '../errors/collect.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { readSize, type SizeResult } from '../fields/size.ts';
import { readPackage, type PackageResult } from '../loads/packages.ts';
import { evaluateScoop, type ScoopResult } from '../loads/scoop.ts';
import { readGrade, type Grade } from '../need/grade.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive } from '../quantities/quantity.ts';
import { readName } from '../fields/heading.ts';
import { PRODUCT_KINDS, type ProductInput } from './product.ts';

/** A product as read, SI; null where nothing, or nothing readable, was typed. Rates are kg/m2 or, for liquids, L/m2. */
export interface ProductResult {
  readonly form: 'dry' | 'liquid';
  readonly grade: Grade | null;
  readonly slowShare: number | null;
  readonly load: number | null;
  readonly densityKgPerL: number | null;
  /**
   * What a share of the analysis is multiplied with: kg in one kg of what is dry (1), kg in one L of a liquid (its
   * density, or 1 where the label states grams in 100 mL); null for a liquid whose density is not known.
   */
  readonly kgPerSi: number | null;
  /** Content of one package: kg, or L for a liquid. */
  readonly package: PackageResult | null;
  /** Price of one package in hundredths. */
  readonly priceCents: number | null;
  readonly stockPackages: number | null;
  readonly coverage: SizeResult | null;
  readonly labelLow: number | null;
  readonly labelHigh: number | null;
  readonly mostAtOnce: number | null;
  readonly mostPerYear: number | null;
  readonly leastIntervalDays: number | null;
  /** Spray volume, L/m2. */
  readonly carrierLow: number | null;
  readonly carrierHigh: number | null;
  readonly scoop: ScoopResult | null;
  readonly errors: readonly InputError[];
}

const MAX_PRICE = 1e7;

/** "50", "50 %" -> 0.5 */
function readShare(typed: string, field: string): number {
  const { value } = toResult(() => readNumber(typed.replace('%', ''), field));
  if (value === null || value < 0 || value > 100)
    throw new InputError('percent.unreadable', { field, hint: '50 %' });
  return value / 100;
}

/** "24.50" -> 2450 */
function readPrice(typed: string, field: string): number {
  const { value } = toResult(() => readNumber(typed.replace(/[^\d.,\s-]/g, ''), field));
  const cents = value === null ? -1 : Math.round(value * 100);
  const whole = value !== null && Math.abs(cents - value * 100) < 1e-6;
  if (value === null || value < 0 || value > MAX_PRICE || !whole)
    throw new InputError('price.unreadable', { field, hint: '24.50' });
  return cents;
}

function readCount(typed: string, field: string, hint: string): number {
  const { value } = toResult(() => readNumber(typed, field));
  if (value === null || value < 0 || value > 1e6) throw new InputError('count.unreadable', { field, hint });
  return value;
}

/** The lower and the higher of two rates, and the error when they stand the wrong way round. */
function checkOrder(
  low: number | null,
  high: number | null,
  texts: { low: string; high: string },
  field: string,
) {
  if (low === null || high === null || low <= high) return [];
  return [new InputError('product.range', { field, hint: `${texts.high} to ${texts.low}` })];
}

/**
 * Reads all the facts of a label but its name. An empty field is missing, not wrong.
 *
 * @param typed the product as typed
 * @returns the readings, and every error with its field's path
 * @example evaluateLabelFacts({ ...blankProduct('dry-fertilizer', 'us'), grade: '24-0-8' }).grade?.stated.N // 0.24
 */
export function evaluateLabelFacts(typed: ProductInput): ProductResult {
  const { errors, readIfPresent } = collect();
  const { form } = PRODUCT_KINDS[typed.kind];
  const { density, package: pack, coverage, labelRate, carrier } = typed;
  const rateKind = form === 'liquid' ? 'volumePerArea' : 'massPerArea';
  const rate = (field: 'low' | 'high' | 'mostAtOnce' | 'mostPerYear') =>
    readIfPresent(labelRate[field], () => {
      const wanted = { kind: rateKind, bareUnit: labelRate.unit, field: `labelRate.${field}` } as const;
      return readPositive(labelRate[field], wanted, 'The rate').si;
    });
  const spray = (field: 'low' | 'high') =>
    readIfPresent(carrier[field], () => {
      const wanted = { kind: 'volumePerArea', bareUnit: carrier.unit, field: `carrier.${field}` } as const;
      return readPositive(carrier[field], wanted, 'The spray volume').si;
    });
  const densityKgPerL = readIfPresent(density.text, () => {
    const wanted = { kind: 'density', bareUnit: density.unit, field: 'density.text' } as const;
    return readPositive(density.text, wanted, 'The density').si;
  });
  const scoop = evaluateScoop(typed.scoop, 'scoop');
  const perVolume = typed.gradeBasis === 'volume';
  const reading = {
    form,
    grade: readIfPresent(typed.grade, () => readGrade(typed.grade, 'grade')),
    slowShare: readIfPresent(typed.slowShare, () => readShare(typed.slowShare, 'slowShare')),
    load: readIfPresent(typed.load, () => readShare(typed.load, 'load')),
    densityKgPerL,
    kgPerSi: form === 'dry' || perVolume ? 1 : densityKgPerL,
    package: readIfPresent(pack.size, () => readPackage(pack.size, pack.unit, 'package.size')),
    priceCents: readIfPresent(typed.price, () => readPrice(typed.price, 'price')),
    stockPackages: readIfPresent(typed.stock, () => readCount(typed.stock, 'stock', '3.5')),
    coverage: readIfPresent(coverage.size, () => readSize(coverage.size, coverage.unit, 'coverage.size')),
    labelLow: rate('low'),
    labelHigh: rate('high'),
    mostAtOnce: rate('mostAtOnce'),
    mostPerYear: rate('mostPerYear'),
    leastIntervalDays: readIfPresent(typed.leastIntervalDays, () =>
      readCount(typed.leastIntervalDays, 'leastIntervalDays', '28'),
    ),
    carrierLow: spray('low'),
    carrierHigh: spray('high'),
    scoop: scoop.reading,
  };
  errors.push(
    ...scoop.errors,
    ...checkOrder(reading.labelLow, reading.labelHigh, labelRate, 'labelRate.low'),
    ...checkOrder(reading.carrierLow, reading.carrierHigh, carrier, 'carrier.low'),
  );
  if (typed.kind === 'liquid-fertilizer' && reading.grade && !perVolume && density.text.trim() === '') {
    errors.push(new InputError('product.lacks-density', { field: 'density.text', hint: '1.28 kg/L' }));
  }
  return { ...reading, errors };
}

/**
 * Reads a product of the shelf: its label, and the name that it is found by.
 *
 * @returns as evaluateLabelFacts, with the error of a missing name first
 * @example evaluateProduct(blankProduct('dry-fertilizer', 'us')).errors[0]?.code // 'name.empty'
 */
export function evaluateProduct(typed: ProductInput): ProductResult {
  const facts = evaluateLabelFacts(typed);
  const { error } = toResult(() => readName(typed.name, 'name', 'Lake feed 24-0-8'));
  return error ? { ...facts, errors: [error, ...facts.errors] } : facts;
}
