import { toResult, type InputError } from '../errors/InputError.ts';
import { collect } from '../errors/collect.ts';
import { message } from '../messages/message.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import { showQuantity } from '../quantities/show.ts';
import { isUnitOf } from '../quantities/units.ts';
import { evaluateLabelFacts } from '../products/evaluateProduct.ts';
import { PRODUCT_KINDS, type ProductInput } from '../products/product.ts';
import { dissolving, type Dissolved } from '../wet/dissolve.ts';
import { tankPlan, type TankFill, type TankPlan, type TankProduct } from '../wet/tank.ts';
import type { Working } from '../working/index.ts';
import type { WorksheetAnswer } from './answer.ts';
import { mixOf } from './numbers.ts';
import { mixLine } from './workings.ts';
import type { MateInput, WorksheetInput } from './worksheetInput.ts';

/** What is known of the machine that sprays. */
export interface TankFacts {
  /** What its tank holds, L; null: not known. */
  readonly tankL: number | null;
  /** What it sprays by its chart, L/m2; null: no chart. */
  readonly chartLPerM2: number | null;
}

/** One product in the tank. */
export interface TankPart {
  /** `product` for that of the sheet. */
  readonly id: string;
  readonly name: string;
  readonly form: 'dry' | 'liquid';
  /** On the ground in one time over it: kg/m2, or L/m2. */
  readonly perM2: number;
  /** For all the ground, one time over it. */
  readonly totalSi: number;
  /** Whether it dissolves in the water of a full tank, or of the only one; null: a liquid, or nothing is known of it. */
  readonly dissolved: Dissolved | null;
}

/** What still keeps a tank from being worked out. */
export type TankLack = 'rate' | 'ground' | 'volume' | 'tank';

/** A job as the tank has it, one time over the ground. */
export interface TankSheet {
  /** Finished mix on the ground, L/m2, and where it was taken from; null: not known. */
  readonly mixLPerM2: number | null;
  readonly mixFrom: 'typed' | 'chart';
  /** The line of the mix: with what the chart gives while no volume is typed. */
  readonly mixLine: Working;
  /** Against what the label allows; null: within, or it says nothing. */
  readonly off: 'below' | 'above' | null;
  readonly tankL: number | null;
  readonly waterC: number;
  readonly parts: readonly TankPart[];
  readonly plan: TankPlan | null;
  readonly lacks: readonly TankLack[];
  readonly errors: readonly InputError[];
}

/** Where nobody measured it: cold tap water, degC. */
export const USUAL_WATER_C = 10;

/**
 * Whether a product goes into a tank.
 *
 * @example goesInTank('liquid-fertilizer') // true
 */
export const goesInTank = (kind: ProductInput['kind']): boolean =>
  PRODUCT_KINDS[kind].form === 'liquid' || kind === 'soluble-fertilizer';

const nameOf = ({ name, grade }: ProductInput): string => name.trim() || grade.trim();

/** What a mate puts down, kg/m2 or L/m2: as typed on the ground, or in each volume of the mix. */
function mateRate({ amount, unit, product }: MateInput, at: number, mixLPerM2: number | null): number | null {
  const field = `mates.${at}.amount`;
  const { form } = PRODUCT_KINDS[product.kind];
  const area = form === 'liquid' ? 'volumePerArea' : 'massPerArea';
  const inMix = form === 'liquid' ? 'volumePerVolume' : 'density';
  const ofMix = isUnitOf(inMix, unit);
  const text = amount.trim();
  const isOfMix = ofMix ? toResult(() => readQuantity(text, { kind: area, bareUnit: null, field })).value === null : toResult(() => readQuantity(text, { kind: inMix, bareUnit: null, field })).value !== null; // prettier-ignore
  const kind = isOfMix ? inMix : area;
  const { si } = readPositive(text, { kind, bareUnit: isUnitOf(kind, unit) ? unit : null, field }, message('errors.what.rate')); // prettier-ignore
  if (!isOfMix) return si;
  return mixLPerM2 === null ? null : si * mixLPerM2;
}

/** What stands in the tank, each with its rate; what cannot be read yet is left out. */
function ratesOf(
  { product, mates }: WorksheetInput,
  onceSi: number | null,
  mixLPerM2: number | null,
  { readIfPresent }: ReturnType<typeof collect>,
): (TankProduct & { readonly label: ProductInput })[] {
  const own = goesInTank(product.kind) && onceSi !== null ? [{ id: 'product', form: PRODUCT_KINDS[product.kind].form, perM2: onceSi, label: product }] : []; // prettier-ignore
  const others = mates.flatMap((mate, index) => {
    const perM2 = readIfPresent(mate.amount, () => mateRate(mate, index, mixLPerM2));
    return perM2 === null ? [] : [{ id: mate.id, form: PRODUCT_KINDS[mate.product.kind].form, perM2, label: mate.product }]; // prettier-ignore
  });
  return [...own, ...others];
}

function dissolvedIn(fill: TankFill | null, at: number, label: ProductInput, degC: number): Dissolved | null {
  const kg = fill?.products[at]?.si ?? 0;
  if (!fill || PRODUCT_KINDS[label.kind].form === 'liquid' || !(kg > 0) || !(fill.waterL > 0)) return null;
  const { gPer100g } = evaluateLabelFacts(label);
  return toResult(() => dissolving({ kg, salt: label.salt === '' ? null : label.salt, gPer100g, degC, waterL: fill.waterL })).value; // prettier-ignore
}

/** The line of the mix at the volume of a chart. What nozzles give is finished mix, whatever a typed volume would mean. */
function mixAtChart(input: WorksheetInput, { reading, numbers, units }: WorksheetAnswer, mixLPerM2: number): Working {
  const amount = showQuantity(mixLPerM2, input.carrier.unit).number;
  const known = { ...reading, carrierSi: mixLPerM2 };
  const mix = mixOf(known, 'mix', numbers.rateSi, numbers.totalM2);
  const carrier = { ...input.carrier, amount, means: 'mix' as const };
  return mixLine({ input: { ...input, carrier }, reading: known, numbers: { ...numbers, mix }, units });
} // prettier-ignore

/**
 * The tanks of a sheet: ground for each, full ones and the last one exactly, water and every product apart by name, whether what is dry
 * dissolves. One time over the ground: a portion, in one direction.
 *
 * @param answer of the same sheet
 * @example tankSheet(sheet, answer, { tankL: 120, chartLPerM2: 0.01945 }).lacks // []: it goes dry, but the tank could be filled
 */
export function tankSheet(input: WorksheetInput, answer: WorksheetAnswer, facts: TankFacts): TankSheet {
  const noted = collect();
  const { errors, readIfPresent } = noted;
  const { tank, carrier } = input;
  const { numbers, reading } = answer;
  const { rateSi: onceSi, times } = numbers.once;
  const typedTank = readIfPresent(tank.size, () => readPositive(tank.size, { kind: 'volume', bareUnit: tank.unit, field: 'tank.size' }, message('errors.what.tank')).si); // prettier-ignore
  const waterC = readIfPresent(tank.water, () => readQuantity(tank.water, { kind: 'temperature', bareUnit: tank.waterUnit, field: 'tank.water' }).si) ?? USUAL_WATER_C; // prettier-ignore
  const isTyped = reading.carrierSi !== null;
  // Water alone becomes finished mix with what the liquids take of it.
  const waterPerM2 = reading.carrierSi ?? facts.chartLPerM2;
  const rates = ratesOf(input, onceSi, isTyped && carrier.means === 'water' ? null : waterPerM2, noted);
  const liquidPerM2 = rates.reduce((sum, { form, perM2 }) => sum + (form === 'liquid' ? perM2 : 0), 0);
  const mixLPerM2 = waterPerM2 === null ? null : isTyped && carrier.means === 'water' ? waterPerM2 + liquidPerM2 : waterPerM2; // prettier-ignore
  const tankL = typedTank ?? facts.tankL;
  const { totalM2 } = numbers;
  const plan =
    mixLPerM2 === null || totalM2 === null || tankL === null || rates.length === 0
      ? null
      : noted.tryRead(() => tankPlan({ mixLPerM2, totalM2, tankL, products: rates }));
  const { carrierLow, carrierHigh } = reading.product;
  return {
    mixLPerM2,
    mixLine: isTyped || mixLPerM2 === null ? answer.lines.mix : mixAtChart(input, answer, mixLPerM2),
    mixFrom: isTyped ? 'typed' : 'chart',
    off: mixLPerM2 === null ? null : carrierLow !== null && mixLPerM2 < carrierLow * (1 - 1e-9) ? 'below' : carrierHigh !== null && mixLPerM2 > carrierHigh * (1 + 1e-9) ? 'above' : null, // prettier-ignore
    tankL,
    waterC,
    parts: rates.map(({ id, form, perM2, label }, index) => ({
      id,
      name: nameOf(label),
      form,
      perM2,
      totalSi: perM2 * (totalM2 ?? 0),
      dissolved: dissolvedIn(plan?.full ?? plan?.last ?? null, index, label, waterC),
    })),
    plan,
    lacks: [
      ...(onceSi === null && goesInTank(input.product.kind) ? ['rate' as const] : []),
      ...(totalM2 === null ? ['ground' as const] : []),
      ...(mixLPerM2 === null ? ['volume' as const] : []),
      ...(tankL === null ? ['tank' as const] : []),
    ],
    errors: times > 0 ? errors : [],
  };
}
