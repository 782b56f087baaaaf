import { attempt, type InputError } from '../errors/InputError.ts';
import { orderFor, type Order } from '../loads/order.ts';
import { countPackages, type PackageCount } from '../loads/packages.ts';
import { labelRate } from '../need/labelRate.ts';
import { deliveredAtRate, type Delivered } from '../need/productRate.ts';
import { putDown, rateForNeed, shareOf, type NeedOf } from '../shelf/wanted.ts';
import type { WorksheetReading } from './readings.ts';

/**
 * The numbers of a worksheet, SI; null where something they need is missing or wrong. Rates are kg/m2 and amounts kg, or
 * L/m2 and L for a liquid product.
 */
export interface WorksheetNumbers {
  /** Share of what is wanted in the product, as its label states it. */
  readonly share: number | null;
  readonly rateSi: number | null;
  readonly areas: readonly {
    readonly id: string;
    readonly areaM2: number | null;
    /** About 95 %; 0 where nothing is known of it. */
    readonly bandM2: number;
    readonly amountSi: number | null;
  }[];
  /** All sized ground; null while a size is wrong or none is given. */
  readonly totalM2: number | null;
  /** About 95 %, m2: areas of one site add up, since they may share a pace; others combine in quadrature. */
  readonly totalBandM2: number;
  /** Named areas without a size, left out of the totals. */
  readonly unsized: number;
  readonly amountSi: number | null;
  readonly packages: PackageCount | null;
  /** What to buy, the stock taken off; null while the packages are not known. */
  readonly order: Order | null;
  readonly delivered: readonly Delivered[];
  /** The need worked out backwards from the total amount: equals the need when all is well. */
  readonly backPerM2: number | null;
  /** Ground that one package covers at this rate, m2. */
  readonly packageCoversM2: number | null;
  /** Finished spray mix for all the ground, L; null without a spray volume. */
  readonly mixL: number | null;
  readonly label: LabelNumbers | null;
}

/** What the label's own coverage puts down. */
export interface LabelNumbers {
  readonly rateSi: number;
  readonly delivered: readonly Delivered[];
  /** What is wanted, at the label's rate; null where the label does not say enough. */
  readonly wantedPerM2: number | null;
  /** Label's rate over the rate worked out: 1 when they agree, above 1 when the label puts down more; null without a need. */
  readonly timesNeed: number | null;
}

const times = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a * b;

function bandOf({ areas }: WorksheetReading): number {
  const bySite = new Map<string, number>();
  for (const { id, site, size } of areas) {
    const shares = site ?? id;
    bySite.set(shares, (bySite.get(shares) ?? 0) + (size?.bandM2 ?? 0));
  }
  return Math.hypot(...bySite.values());
}

function delivers({ product }: WorksheetReading, rateSi: number | null): Delivered[] {
  const kgPerM2 = times(rateSi, product.kgPerSi);
  return product.grade && kgPerM2 !== null ? deliveredAtRate(kgPerM2, product.grade) : [];
}

function workLabel(reading: WorksheetReading, of: NeedOf, rate: number | null): LabelNumbers | null {
  const { package: pack, coverage } = reading.product;
  if (!pack || !coverage) return null;
  const rateSi = labelRate(pack.si, coverage.areaM2);
  return {
    rateSi,
    delivered: delivers(reading, rateSi),
    wantedPerM2: putDown(reading.product, of, rateSi),
    timesNeed: rate === null ? null : rateSi / rate,
  };
}

/**
 * Works a worksheet out: rate, amount for each area and in all, packages rounded up once, nutrients delivered.
 *
 * @param reading the worksheet as read
 * @param of what the need is stated in
 * @returns the numbers, and grade.lacks when the product holds none of the nutrient
 * @example workNumbers(reading, 'N').numbers.rateSi // 0.016274...
 */
export function workNumbers(
  reading: WorksheetReading,
  of: NeedOf,
): { numbers: WorksheetNumbers; error: InputError | null } {
  const { need, product } = reading;
  const rate = attempt(() => need && rateForNeed(product, of, need.si));
  const rateSi = rate.value;
  const { package: pack } = product;

  const areas = reading.areas.map(({ id, size }) => ({
    id,
    areaM2: size?.areaM2 ?? null,
    bandM2: size?.bandM2 ?? 0,
    amountSi: times(rateSi, size?.areaM2 ?? null),
  }));
  const readable = reading.areas.every(({ state }) => state !== 'wrong');
  const sum = areas.reduce((total, { areaM2 }) => total + (areaM2 ?? 0), 0);
  const totalM2 = readable && sum > 0 ? sum : null;
  const amountSi = times(rateSi, totalM2);
  const totalBandM2 = bandOf(reading);

  return {
    error: rate.error?.under('product') ?? null,
    numbers: {
      share: shareOf(product, of),
      rateSi,
      areas,
      totalM2,
      totalBandM2,
      unsized: reading.areas.filter(({ state }) => state === 'unsized').length,
      amountSi,
      packages: amountSi !== null && pack ? countPackages(amountSi, pack.si) : null,
      order:
        amountSi !== null && rateSi !== null && pack
          ? orderFor(amountSi, rateSi * totalBandM2, pack.si, product.stockPackages ?? 0, product.priceCents)
          : null,
      delivered: delivers(reading, rateSi),
      packageCoversM2: rateSi !== null && pack ? pack.si / rateSi : null,
      mixL: times(reading.carrierSi, totalM2),
      label: workLabel(reading, of, rateSi),
      backPerM2: amountSi === null || totalM2 === null ? null : putDown(product, of, amountSi / totalM2),
    },
  };
}
