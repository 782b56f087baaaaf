import { toResult, type InputError } from '../errors/InputError.ts';
import { orderFor, type Order } from '../loads/order.ts';
import { countPackages, type PackageCount } from '../loads/packages.ts';
import { labelRate } from '../need/labelRate.ts';
import { deliveredAtRate, type Delivered } from '../need/productRate.ts';
import { delivered, rateForNeed, shareOf, type NeedOf } from '../products/wanted.ts';
import type { SplitResult, WorksheetResult } from './readings.ts';

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
  /** One time over the ground: what the machine is set for, and what one such time takes in all. */
  readonly once: OnceOver;
  readonly packages: PackageCount | null;
  /** What to buy, the stock taken off; null while the packages are not known. */
  readonly order: Order | null;
  readonly delivered: readonly Delivered[];
  /** The need worked out backwards from the total amount: equals the need when all is well. */
  readonly backPerM2: number | null;
  /** Ground that one package covers at this rate, m2. */
  readonly packageCoversM2: number | null;
  /** What goes into the tank for all the ground; null without a spray volume. */
  readonly mix: TankMix | null;
  readonly label: LabelNumbers | null;
}

/** One time over the ground: the need over its portions and directions. */
export interface OnceOver {
  /** Times over the ground in all. */
  readonly times: number;
  readonly portions: number;
  readonly directions: 1 | 2;
  readonly rateSi: number | null;
  readonly amountSi: number | null;
}

/** Finished mix, and the water in it: apart by name. */
export interface TankMix {
  /** Finished mix, L/m2 and L. */
  readonly perM2: number;
  readonly mixL: number;
  /** Water alone, L; null while it is not known how much room the product takes. */
  readonly waterL: number | null;
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

function onceOver({ portions, directions }: SplitResult, rateSi: number | null, amountSi: number | null): OnceOver {
  const count = portions * directions;
  const part = (si: number | null) => (si === null ? null : si / count);
  return { times: count, portions, directions, rateSi: part(rateSi), amountSi: part(amountSi) };
} // prettier-ignore

const times = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a * b;

function bandOf({ areas }: WorksheetResult): number {
  const bySite = new Map<string, number>();
  for (const { id, site, size } of areas) {
    const shares = site ?? id;
    bySite.set(shares, (bySite.get(shares) ?? 0) + (size?.bandM2 ?? 0));
  }
  return Math.hypot(...bySite.values());
}

function delivers({ product }: WorksheetResult, rateSi: number | null): Delivered[] {
  const kgPerM2 = times(rateSi, product.kgPerSi);
  return product.grade && kgPerM2 !== null ? deliveredAtRate(kgPerM2, product.grade) : [];
}

function workLabel(reading: WorksheetResult, nutrient: NeedOf, rate: number | null): LabelNumbers | null {
  const { package: pack, coverage } = reading.product;
  if (!pack || !coverage) return null;
  const rateSi = labelRate(pack.si, coverage.areaM2);
  return {
    rateSi,
    delivered: delivers(reading, rateSi),
    wantedPerM2: delivered(reading.product, nutrient, rateSi),
    timesNeed: rate === null ? null : rateSi / rate,
  };
}

/** Finished mix and water: what is typed may mean either; a liquid takes room in the mix, what is dissolved is taken to take none. */
/** Finished mix, and the water in it, for all the ground. */
export function mixOf(reading: WorksheetResult, means: 'mix' | 'water', rateSi: number | null, totalM2: number | null): TankMix | null {
  const { carrierSi, product } = reading;
  if (carrierSi === null || totalM2 === null) return null;
  const productL = product.form === 'dry' ? 0 : rateSi;
  const perM2 = means === 'mix' ? carrierSi : carrierSi + (productL ?? 0);
  if (means === 'water' && productL === null) return null;
  return { perM2, mixL: perM2 * totalM2, waterL: productL === null ? null : (perM2 - productL) * totalM2 };
} // prettier-ignore

/**
 * Works a worksheet out: rate, amount for each area and in all, packages rounded up once, nutrients delivered.
 *
 * @param reading the worksheet as read
 * @param nutrient what the need is stated in
 * @param means whether the spray volume is that of the mix or of the water
 * @returns the numbers, and grade.lacks when the product holds none of the nutrient
 * @example workNumbers(answer.reading, 'N').numbers.rateSi // 0.016275
 */
export function workNumbers(
  reading: WorksheetResult,
  nutrient: NeedOf,
  means: 'mix' | 'water' = 'mix',
): { numbers: WorksheetNumbers; error: InputError | null } {
  const { need, product } = reading;
  const rate = toResult(() => need && rateForNeed(product, nutrient, need.si));
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
      share: shareOf(product, nutrient),
      rateSi,
      areas,
      totalM2,
      totalBandM2,
      unsized: reading.areas.filter(({ state }) => state === 'unsized').length,
      amountSi,
      once: onceOver(reading.split, rateSi, amountSi),
      packages: amountSi !== null && rateSi !== null && pack ? countPackages(amountSi, pack.si, rateSi * totalBandM2) : null, // prettier-ignore
      order:
        amountSi !== null && rateSi !== null && pack
          ? orderFor(amountSi, rateSi * totalBandM2, pack.si, product.stockPackages ?? 0, product.priceCents)
          : null,
      delivered: delivers(reading, rateSi),
      packageCoversM2: rateSi !== null && pack ? pack.si / rateSi : null,
      mix: mixOf(reading, means, rateSi, totalM2),
      label: workLabel(reading, nutrient, rateSi),
      backPerM2:
        amountSi === null || totalM2 === null ? null : delivered(product, nutrient, amountSi / totalM2),
    },
  };
}
