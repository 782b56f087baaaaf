import { message } from '../messages/message.ts';
import { readPrice } from '../fields/money.ts';
import { readCount, readPercent } from '../fields/counts.ts';
import { collect } from '../errors/collect.ts';
import { toResult, InputError } from '../errors/InputError.ts';
import { readSize, type SizeResult } from '../fields/size.ts';
import { readPackage, type PackageResult } from '../loads/packages.ts';
import { evaluateScoop, type ScoopResult } from '../loads/scoop.ts';
import { readGrade, type Grade } from '../need/grade.ts';
import { readPositive } from '../quantities/quantity.ts';
import { readName } from '../fields/heading.ts';
import { evaluateLimits, type LimitsResult } from './conditionLimits.ts';
import { evaluateDeicer, type DeicerFacts } from './deicer.ts';
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
  /** g in 100 g water, as the label states it. */
  readonly gPer100g: number | null;
  readonly scoop: ScoopResult | null;
  readonly deicer: Omit<DeicerFacts, 'errors'>;
  readonly limits: LimitsResult;
  readonly errors: readonly InputError[];
}

/** Most packages, and most days. */
const MAX_COUNT = 1e6;

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
export function evaluateLabelFacts(input: ProductInput): ProductResult {
  const { errors, readIfPresent } = collect();
  const { form } = PRODUCT_KINDS[input.kind];
  const { density, package: pack, coverage, labelRate, carrier } = input;
  const rateKind = form === 'liquid' ? 'volumePerArea' : 'massPerArea';
  const rate = (field: 'low' | 'high' | 'mostAtOnce' | 'mostPerYear') =>
    readIfPresent(labelRate[field], () => {
      const wanted = { kind: rateKind, bareUnit: labelRate.unit, field: `labelRate.${field}` } as const;
      return readPositive(labelRate[field], wanted, message('errors.what.rate')).si;
    });
  const spray = (field: 'low' | 'high') =>
    readIfPresent(carrier[field], () => {
      const wanted = { kind: 'volumePerArea', bareUnit: carrier.unit, field: `carrier.${field}` } as const;
      return readPositive(carrier[field], wanted, message('errors.what.sprayVolume')).si;
    });
  const densityKgPerL = readIfPresent(density.text, () => {
    const wanted = { kind: 'density', bareUnit: density.unit, field: 'density.text' } as const;
    return readPositive(density.text, wanted, message('errors.what.density')).si;
  });
  const scoop = evaluateScoop(input.scoop, 'scoop');
  const limits = evaluateLimits(input.limits, 'limits');
  const { errors: wrongDeicer, ...deicer } = evaluateDeicer(input.deicer, form);
  const perVolume = input.gradeBasis === 'volume';
  const reading = {
    form,
    grade: readIfPresent(input.grade, () => readGrade(input.grade, 'grade')),
    slowShare: readIfPresent(input.slowShare, () =>
      readPercent(input.slowShare, { field: 'slowShare', hint: '50 %' }),
    ),
    load: readIfPresent(input.load, () => readPercent(input.load, { field: 'load', hint: '50 %' })),
    densityKgPerL,
    kgPerSi: form === 'dry' || perVolume ? 1 : densityKgPerL,
    package: readIfPresent(pack.size, () => readPackage(pack.size, pack.unit, 'package.size')),
    priceCents: readIfPresent(input.price, () => readPrice(input.price, 'price')),
    stockPackages: readIfPresent(input.stock, () =>
      readCount(input.stock, { field: 'stock', hint: '3.5', most: MAX_COUNT }),
    ),
    coverage: readIfPresent(coverage.size, () => readSize(coverage.size, coverage.unit, 'coverage.size')),
    labelLow: rate('low'),
    labelHigh: rate('high'),
    mostAtOnce: rate('mostAtOnce'),
    mostPerYear: rate('mostPerYear'),
    leastIntervalDays: readIfPresent(input.leastIntervalDays, () =>
      readCount(input.leastIntervalDays, { field: 'leastIntervalDays', hint: '28', most: MAX_COUNT }),
    ),
    carrierLow: spray('low'),
    carrierHigh: spray('high'),
    gPer100g: readIfPresent(input.solubility, () => readCount(input.solubility, { field: 'solubility', hint: '31.6', most: 1000, isPositive: true })), // prettier-ignore
    scoop: scoop.reading,
    deicer,
    limits,
  };
  errors.push(
    ...scoop.errors,
    ...wrongDeicer,
    ...limits.errors,
    ...checkOrder(reading.labelLow, reading.labelHigh, labelRate, 'labelRate.low'),
    ...checkOrder(reading.carrierLow, reading.carrierHigh, carrier, 'carrier.low'),
  );
  if (input.kind === 'liquid-fertilizer' && reading.grade && !perVolume && density.text.trim() === '') {
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
export function evaluateProduct(input: ProductInput): ProductResult {
  const facts = evaluateLabelFacts(input);
  const { error } = toResult(() => readName(input.name, 'name', message('errors.example.product')));
  return error ? { ...facts, errors: [error, ...facts.errors] } : facts;
}
