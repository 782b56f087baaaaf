import { toResult, type InputError } from '@steady-scatter/core/errors';
import { evaluateRig, isByTime } from '@steady-scatter/core/machines';
import { evaluateProduct, PRODUCT_KINDS, type ProductInput } from '@steady-scatter/core/products';
import type { Age } from '@steady-scatter/core/testing';
import {
  colderDeicers,
  evaluateGuide,
  looksLikeAir,
  planNight,
  readPavement,
  sameSituation,
  settingOnGround,
  versionOn,
  type BandSetting,
  type GuideInput,
  type GuideLine,
  type GuideProduct,
  type GuideVersion,
  type NightPlan,
  type Trend,
} from '@steady-scatter/core/winter';
import { useMemo } from 'react';
import type { CalibrationContext } from '../../bench/calibrationContext.ts';
import { calibrationContext, useBenchShelf, type BenchShelf } from '../../bench/calibrationContext.ts';
import { ageOf } from '../../bench/SignOff.tsx';
import type { Doc } from '../../documents/docs.ts';
import { useStorms } from '../../kinds/useStorms.ts';
import { useGuides } from '../../kinds/useGuides.ts';
import { today } from '../../ui/today.ts';
import { useStation, type Station } from '../../stations/useStation.ts';
import type { NightInput } from './nightInput.ts';

/** The pavement as it is known: typed, or read by the station. */
export interface Pavement {
  readonly degC: number | null;
  readonly trend: Trend | null;
  readonly isTyped: boolean;
  readonly station: Station | null | undefined;
  /** It may be the temperature of the air: typed, and nobody said what it was read on. */
  readonly isAsked: boolean;
  readonly isAir: boolean;
  readonly error: InputError | undefined;
}

/** A machine that has a chart for the product, and what it is set to. */
export interface NightMachine {
  readonly id: string;
  readonly calibration: string;
  readonly name: string;
  readonly on: CalibrationContext;
  readonly setting: BandSetting | null;
  readonly age: Age;
  /** What it holds, kg or L; null: not known. */
  readonly fillSi: number | null;
}

export interface Night {
  readonly pavement: Pavement;
  readonly guides: readonly Doc<GuideInput>[];
  readonly guide: Doc<GuideInput> | null;
  readonly version: GuideVersion | null;
  readonly situations: readonly string[];
  readonly products: readonly Doc<ProductInput>[];
  readonly product: Doc<ProductInput> | null;
  readonly asks: GuideProduct;
  readonly plan: NightPlan | null;
  readonly line: GuideLine | null;
  readonly machines: readonly NightMachine[];
  /** De-icers that reach further, where this one does not. */
  readonly instead: readonly string[];
}

function usePavement({ pavement, unit, readOn, trend }: NightInput): Pavement {
  const station = useStation('pavement');
  const air = useStation('air');
  const { value, error } = toResult(() => (pavement.trim() === '' ? null : readPavement(pavement, unit, 'pavement'))); // prettier-ignore
  const isTyped = pavement.trim() !== '';
  // What the station reads of the air is not typed as that of the pavement unnoticed.
  const isLikeAir =
    value !== null && !!air && !!station && looksLikeAir(value, air.now.value, station.now.value);
  return {
    degC: isTyped ? value : (station?.now.value ?? null),
    trend: trend === '' ? (isTyped ? null : (station?.now.trend ?? null)) : trend,
    isTyped,
    station,
    isAsked: isTyped && value !== null && (readOn === '' || (isLikeAir && readOn !== 'air')),
    isAir: isTyped && readOn === 'air',
    error: error ?? undefined,
  };
}

const firstOf = <Item extends { readonly id: string }>(items: readonly Item[], id: string): Item | null =>
  items.find((item) => item.id === id) ?? items[0] ?? null;

/** Charts that can be trusted come first. */
const TRUST = ['fresh', 'ageing', 'stale', 'none'] as const;
const byTrust = (a: NightChart, b: NightChart): number => TRUST.indexOf(a.age.state) - TRUST.indexOf(b.age.state); // prettier-ignore

/** A chart for the product of tonight. */
type NightChart = Omit<NightMachine, 'setting'> & { readonly isByTime: boolean };

/** Machines with a signed-off chart for a product; empty: of none. */
function chartsFor(shelf: BenchShelf, product: string): NightChart[] {
  return shelf.calibrations
    .flatMap(({ id, input }): NightChart[] => {
      if (!input.signOff || product === '' || input.productId !== product) return [];
      const on = calibrationContext(input, shelf, id);
      if (!on.rig) return [];
      const { hopperKg, spray } = evaluateRig(on.rig);
      const fillSi = on.bench.spray ? spray.tankL : hopperKg;
      return [{ id: input.rig, calibration: id, name: on.rig.name, on, age: ageOf(input, on), fillSi, isByTime: isByTime(on.rig.kind) }]; // prettier-ignore
    })
    .toSorted(byTrust);
}

const useNightCharts = (shelf: BenchShelf, product: string): NightChart[] =>
  useMemo(() => chartsFor(shelf, product), [shelf, product]);

/** What a machine is set to for a line of the guide. */
function settingOf({ on, isByTime }: NightChart, plan: NightPlan | null): BandSetting | null {
  const { rate } = plan?.answer.line ?? {};
  if (!rate || plan?.rateSi == null || rate.low <= 0) return null;
  return settingOnGround(on.reading, { low: rate.low, chosen: plan.rateSi, high: rate.high }, isByTime);
}

/** Where nobody chose: what a machine was calibrated for last, what is dry before what is sprayed; empty: nothing was. */
function usualProduct({ calibrations }: BenchShelf, products: readonly Doc<ProductInput>[]): string {
  const signed = calibrations.flatMap(({ input: { signOff, productId } }) => {
    const product = products.find(({ id }) => id === productId);
    return signOff && product ? [{ productId, isDry: PRODUCT_KINDS[product.input.kind].form === 'dry', onDay: signOff.onDay }] : []; // prettier-ignore
  });
  const [last] = signed.toSorted((a, b) => Number(b.isDry) - Number(a.isDry) || b.onDay.localeCompare(a.onDay)); // prettier-ignore
  return last?.productId ?? '';
}

/** Everything that tonight is worked out from, and what it comes to. */
export function useNight(input: NightInput): Night {
  const pavement = usePavement(input);
  const { data: guides = [] } = useGuides();
  const shelf = useBenchShelf();
  const { data: storms = [] } = useStorms();
  const lastGuide = storms.toSorted((a, b) => b.input.fromDay.localeCompare(a.input.fromDay))[0]?.input.guide;
  const guide = firstOf(guides, input.guide || (lastGuide ?? ''));
  const version = useMemo(() => guide && versionOn(evaluateGuide(guide.input).versions, today()), [guide]);
  const products = shelf.products.filter(({ input: { kind } }) => PRODUCT_KINDS[kind].puts === 'de-icer');
  const usual = usualProduct(shelf, products);
  const product = firstOf(products, input.product || usual);
  const productId = product?.id ?? '';
  const { degC, trend, isAir } = pavement;
  const facts = product && evaluateProduct(product.input);
  const asks: GuideProduct = facts?.form === 'liquid' ? 'liquid' : input.isPrewetted ? 'prewetted' : 'dry';
  const situations = useMemo(() => {
    const named = (version?.lines ?? []).map(({ situation }) => situation.trim());
    return named.filter((one, index) => named.findIndex((other) => sameSituation(one, other)) === index);
  }, [version]);
  const share = input.share === '' ? null : input.share;
  const { situation, treatment } = input;
  const plan =
    version && facts && degC !== null && !isAir && situation !== ''
      ? planNight(version.lines, facts.deicer, { pavementC: degC, trend: trend ?? 'steady', situation, treatment, product: asks, share }) // prettier-ignore
      : null;
  const line = plan?.answer.line ?? null;
  const charts = useNightCharts(shelf, productId);
  const machines = charts.map((chart) => Object.assign({}, chart, { setting: settingOf(chart, plan) }));
  const others = products.map((each) => ({ id: each.id, name: each.input.name, limitC: evaluateProduct(each.input).deicer.limitC })); // prettier-ignore
  const instead = degC === null || (plan?.fate !== 'limit' && plan?.fate !== 'cold') ? [] : colderDeicers(others.filter(({ id }) => id !== product?.id), degC); // prettier-ignore
  return { pavement, guides, guide, version, situations, products, product, asks, plan, line, machines, instead: instead.map(({ name }) => name) }; // prettier-ignore
}
