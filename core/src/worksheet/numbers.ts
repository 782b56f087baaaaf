import { attempt, InputError } from '../errors/InputError.ts';
import { countPackages, type PackageCount } from '../loads/packages.ts';
import { fractionOf } from '../need/grade.ts';
import type { Nutrient } from '../need/nutrients.ts';
import { labelRate } from '../need/labelRate.ts';
import { deliveredAtRate, nutrientAtRate, productRate, type Delivered } from '../need/productRate.ts';
import type { WorksheetReading } from './readings.ts';

/** The numbers of a worksheet, SI; null where something they need is missing or wrong. */
export interface WorksheetNumbers {
  readonly fraction: number | null;
  readonly rateKgPerM2: number | null;
  readonly areas: readonly {
    readonly id: string;
    readonly areaM2: number | null;
    readonly amountKg: number | null;
  }[];
  /** All sized ground; null while a size is wrong or none is given. */
  readonly totalM2: number | null;
  /** Named areas without a size, left out of the totals. */
  readonly unsized: number;
  readonly amountKg: number | null;
  readonly packages: PackageCount | null;
  readonly delivered: readonly Delivered[];
  /** The need worked out backwards from the total amount, kg/m2: equals the need when all is well. */
  readonly backKgPerM2: number | null;
  /** Ground that one package covers at this rate, m2. */
  readonly packageCoversM2: number | null;
  readonly label: LabelNumbers | null;
}

/** What the label's own coverage puts down. */
export interface LabelNumbers {
  readonly rateKgPerM2: number;
  readonly delivered: readonly Delivered[];
  /** The wanted nutrient at the label's rate, kg/m2; null without a grade. */
  readonly nutrientKgPerM2: number | null;
  /** Label's rate over the rate worked out: 1 when they agree, above 1 when the label puts down more; null without a need. */
  readonly timesNeed: number | null;
}

function workLabel(
  { package: pack, coverage, grade }: WorksheetReading,
  nutrient: Nutrient,
  rate: number | null,
): LabelNumbers | null {
  if (!pack || !coverage) return null;
  const rateKgPerM2 = labelRate(pack.si, coverage.areaM2);
  return {
    rateKgPerM2,
    delivered: grade ? deliveredAtRate(rateKgPerM2, grade) : [],
    nutrientKgPerM2: grade && nutrientAtRate(rateKgPerM2, nutrient, grade),
    timesNeed: rate === null ? null : rateKgPerM2 / rate,
  };
}

const times = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a * b;

/**
 * Works a worksheet out: rate, amount for each area and in all, packages rounded up once, nutrients delivered.
 *
 * @param reading the worksheet as read
 * @param nutrient the nutrient that the need is stated in
 * @returns the numbers, and grade.lacks when the product holds none of the nutrient
 * @example workNumbers(reading, 'N').numbers.rateKgPerM2 // 0.016274...
 */
export function workNumbers(
  reading: WorksheetReading,
  nutrient: Nutrient,
): { numbers: WorksheetNumbers; error: InputError | null } {
  const { need, grade } = reading;
  const rate = need && grade ? attempt(() => productRate(need.si, nutrient, grade)) : null;
  const rateKgPerM2 = rate?.value ?? null;

  const areas = reading.areas.map(({ id, size }) => ({
    id,
    areaM2: size?.areaM2 ?? null,
    amountKg: times(rateKgPerM2, size?.areaM2 ?? null),
  }));
  const readable = reading.areas.every(({ state }) => state !== 'wrong');
  const sum = areas.reduce((total, { areaM2 }) => total + (areaM2 ?? 0), 0);
  const totalM2 = readable && sum > 0 ? sum : null;
  const amountKg = times(rateKgPerM2, totalM2);
  const fraction = grade && fractionOf(grade, nutrient);

  return {
    error: rate?.error ?? null,
    numbers: {
      fraction,
      rateKgPerM2,
      areas,
      totalM2,
      unsized: reading.areas.filter(({ state }) => state === 'unsized').length,
      amountKg,
      packages: amountKg !== null && reading.package ? countPackages(amountKg, reading.package.si) : null,
      delivered: rateKgPerM2 !== null && grade ? deliveredAtRate(rateKgPerM2, grade) : [],
      packageCoversM2: rateKgPerM2 !== null && reading.package ? reading.package.si / rateKgPerM2 : null,
      label: workLabel(reading, nutrient, rateKgPerM2),
      backKgPerM2: amountKg === null || totalM2 === null ? null : times(amountKg / totalM2, fraction),
    },
  };
}
