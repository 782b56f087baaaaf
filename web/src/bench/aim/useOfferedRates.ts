import type { jobs, ReadableOf } from '@steady-scatter/contract';
import { labelRate } from '@steady-scatter/core/need';
import { evaluateProduct, type ProductInput } from '@steady-scatter/core/products';
import { fromSi, isUnitOf, showExact, showQuantity } from '@steady-scatter/core/quantities';
import type { BenchRateUnit } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';
import { readable, useList } from '../../documents/docs.ts';
import { JOBS } from '../../kinds/useJobs.ts';

/** A rate that is known from elsewhere. */
export interface OfferedRate {
  /** As it is typed: "3.33333". */
  readonly amount: string;
  readonly label: string;
  readonly detail: string;
}

/** More than a label gives, so that there is room for jobs. */
const MAX_OFFERED = 5;

/** Spray volumes that a label allows. */
function labelVolumes(product: ProductInput): { rateSi: number; detail: string }[] {
  const { carrierLow, carrierHigh } = evaluateProduct(product);
  return [
    { rateSi: carrierLow, detail: say('bench.offer.lowWater') },
    { rateSi: carrierHigh, detail: say('bench.offer.highWater') },
  ].flatMap(({ rateSi, detail }) => (rateSi === null ? [] : [{ rateSi, detail }]));
}

/** Rates of the product's label: what one package covers, and the range that it allows. */
function labelRates(product: ProductInput): { rateSi: number; detail: string }[] {
  const { package: pack, coverage, labelLow, labelHigh } = evaluateProduct(product);
  const covers = pack && coverage ? labelRate(pack.si, coverage.areaM2) : null;
  return [
    { rateSi: covers, detail: say('bench.offer.coverage') },
    { rateSi: labelLow, detail: say('bench.offer.low') },
    { rateSi: labelHigh, detail: say('bench.offer.high') },
  ].flatMap(({ rateSi, detail }) => (rateSi === null ? [] : [{ rateSi, detail }]));
}

type JobLine = ReadableOf<typeof jobs>;

/**
 * Rates of a product as amounts in a unit, each once: from the label, then from jobs, the latest first. The label is known before the jobs
 * are: what they bring stands after it, and no card moves from under a finger.
 */
export function offersOf(
  lines: readonly JobLine[],
  product: { readonly name: string; readonly input: ProductInput | null },
  unit: BenchRateUnit,
): OfferedRate[] {
  const isVolume = isUnitOf('volumePerArea', unit);
  if (!isVolume && !isUnitOf('massPerArea', unit)) return [];
  const fromJobs = lines
    .filter((line) => !isVolume && line.product === product.name && line.rateOnceSi !== null)
    .map(({ rateOnceSi, name }) => ({ rateSi: rateOnceSi!, detail: say('bench.offer.job', { name }) }));
  const all = [...(product.input ? (isVolume ? labelVolumes : labelRates)(product.input) : []), ...fromJobs];
  const offers = new Map<string, OfferedRate>();
  for (const { rateSi, detail } of all) {
    const { number, unit: symbol } = showQuantity(rateSi, unit);
    const label = `${number} ${symbol}`;
    if (!offers.has(label)) offers.set(label, { amount: showExact(fromSi(rateSi, unit), 4), label, detail });
  }
  return [...offers.values()].slice(0, MAX_OFFERED);
}

/** The rates that this product is put down at, by jobs and by its label. */
export function useOfferedRates(
  name: string,
  input: ProductInput | null,
  unit: BenchRateUnit,
): OfferedRate[] {
  const { data } = useList(JOBS, { q: name, limit: 20 }, name !== '');
  return offersOf(readable<typeof jobs>(data?.lines ?? []), { name, input }, unit);
}
