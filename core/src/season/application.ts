import { collect } from '../errors/collect.ts';
import { InputError, toResult } from '../errors/InputError.ts';
import { finite, requireFinite } from '../errors/preconditions.ts';
import { momentMs } from '../fields/days.ts';
import { readCount } from '../fields/counts.ts';
import { readDay } from '../fields/heading.ts';
import { readSize } from '../fields/size.ts';
import { message, type Message } from '../messages/message.ts';
import { readGrade } from '../need/grade.ts';
import { deliveredAtRate, type Delivered } from '../need/productRate.ts';
import { chlorideOf, evaluateDeicer } from '../products/deicer.ts';
import { readOutdoors } from '../products/conditionLimits.ts';
import { PRODUCT_KINDS } from '../products/product.ts';
import { readQuantity } from '../quantities/quantity.ts';
import { UNITS, type UnitId } from '../quantities/units.ts';
import { dimensionOf } from '../testing/rate.ts';
import { brineDensity } from '../winter/brine.ts';
import { hasCurve, strongest } from '../winter/brineSalts.ts';
import { readPavement } from '../winter/pavement.ts';
import type { ApplicationInput } from './applicationInput.ts';

/** An application as read, SI: kg, or L of a liquid. Null: not said, or not known. */
export interface ApplicationResult {
  readonly areaM2: number | null;
  /** What was meant, in the dimension of its unit. */
  readonly meantSi: number | null;
  readonly amountSi: number | null;
  readonly sweptSi: number;
  /** On the ground: what went out less what was swept up. */
  readonly onGroundSi: number | null;
  /** What went out over the area, kg/m2 or L/m2. */
  readonly achievedSi: number | null;
  /** What went out against what was meant: 1 as meant, above it heavy; and about 95 % of it, from reading the amount alone. Null: not known. */
  readonly ratio: number | null;
  readonly uRatio: number;
  /** Each nutrient on the ground by the grade. */
  readonly delivered: readonly Delivered[];
  /** What stayed on the ground, kg. */
  readonly saltKg: number | null;
  readonly chlorideKg: number | null;
  readonly sweptSaltKg: number | null;
  /** It was marked as one that does not count. */
  readonly isVoid: boolean;
  readonly errors: readonly InputError[];
}

/** kg of product in each kg or L of it; null: a liquid whose density nobody knows. */
function kgPerSi({ product }: ApplicationInput, share: number | null, typedKgPerL: number | null): number | null {
  if (PRODUCT_KINDS[product.kind].form === 'dry') return 1;
  if (typedKgPerL !== null) return typedKgPerL;
  const { salt } = product.deicer;
  if (share === null || !hasCurve(salt) || share * 100 > strongest(salt)) return null;
  return brineDensity(salt, share * 100);
} // prettier-ignore

/** What went out over what was meant, where both are on the ground. */
function ratioOf(achievedSi: number | null, meantSi: number | null, unit: UnitId): number | null {
  const isOnGround = UNITS[unit].kind === 'massPerArea' || UNITS[unit].kind === 'volumePerArea';
  return achievedSi === null || meantSi === null || meantSi === 0 || !isOnGround
    ? null
    : finite(achievedSi / meantSi);
}

/** Nutrients on each square metre; none without a grade, an area, or the density of a liquid. */
function deliveredOn({ product }: ApplicationInput, kg: number | null, areaM2: number | null): Delivered[] {
  if (kg === null || areaM2 === null || areaM2 === 0 || product.grade.trim() === '') return [];
  return toResult(() => deliveredAtRate(kg / areaM2, readGrade(product.grade, 'product.grade'))).value ?? [];
}

/**
 * Whether an application was marked as one that does not count.
 *
 * @example isVoid({ ...round, void: 'Wrong lot' }) // true
 */
export const isVoid = ({ void: why }: Pick<ApplicationInput, 'void'>): boolean => why.trim() !== '';

/**
 * Reads an application: what went out, what stayed on the ground, and the salt in it.
 *
 * @example evaluateApplication({ ...round, amount: { text: '50', unit: 'lb', from: 'weighed' } }).amountSi // 22.6796185
 */
export function evaluateApplication(input: ApplicationInput): ApplicationResult {
  const { errors, readIfPresent } = collect();
  const { product, amount, swept, rate, weather } = input;
  const { form } = PRODUCT_KINDS[product.kind];
  /** What the scale says of the amount, kg or L. */
  let readTo = 0;
  const kind = form === 'liquid' ? 'volume' : 'mass';
  const notBelow = (what: Message, text: string, unit: UnitId, field: string, quantity: Parameters<typeof readQuantity>[1]['kind'] = kind) =>
    readIfPresent(text, () => {
      const { si, resolutionSi } = readQuantity(text, { kind: quantity, bareUnit: unit, field });
      if (field === 'amount.text') readTo = resolutionSi;
      if (si < 0) throw new InputError('quantity.not-positive', { field, what, hint: '12' });
      return si;
    }); // prettier-ignore
  if (input.areaName.trim() === '') errors.push(new InputError('area-name.empty', { field: 'areaName' })); // prettier-ignore
  if (amount.text.trim() === '') errors.push(new InputError('number.empty', { field: 'amount.text', hint: '50 lb' })); // prettier-ignore
  const areaM2 = readIfPresent(input.size.text, () => readSize(input.size.text, input.size.unit, 'size.text').areaM2); // prettier-ignore
  const amountSi = notBelow(message('errors.what.amount'), amount.text, amount.unit, 'amount.text');
  const sweptSi = notBelow(message('errors.what.swept'), swept.text, swept.unit, 'swept.text') ?? 0;
  notBelow(message('errors.what.leftover'), input.leftover.text, input.leftover.unit, 'leftover.text');
  const meantSi = notBelow(message('errors.what.rate'), rate.text, rate.unit, 'rate.text', dimensionOf(rate.unit)); // prettier-ignore
  const typedKgPerL = readIfPresent(product.density, () => readQuantity(product.density, { kind: 'density', bareUnit: 'kg/L', field: 'product.density' }).si); // prettier-ignore
  readIfPresent(weather.pavement, () => readPavement(weather.pavement, weather.unit, 'weather.pavement'));
  for (const name of ['air', 'soil'] as const) readIfPresent(weather[name], () => readOutdoors(weather[name], weather.unit, `weather.${name}`)); // prettier-ignore
  readIfPresent(weather.rain, () =>
    readCount(weather.rain, { field: 'weather.rain', hint: '24', most: 1000 }),
  );
  if (input.onDay !== '') readIfPresent(input.onDay, () => readDay(input.onDay, 'onDay'));
  if (input.until !== '' && Number.isNaN(momentMs(input.until)))
    errors.push(new InputError('application.until', { field: 'until' }));
  if (amountSi !== null && sweptSi > amountSi)
    errors.push(new InputError('application.swept', { field: 'swept.text', swept: swept.text, amount: amount.text })); // prettier-ignore
  const { errors: wrong, ...deicer } = evaluateDeicer(product.deicer, form);
  errors.push(...wrong.map((error) => error.under('product')));
  const perSi = kgPerSi(input, deicer.share, typedKgPerL);
  const onGroundSi = amountSi === null ? null : finite(amountSi - sweptSi);
  const isDeicer = PRODUCT_KINDS[product.kind].puts === 'de-icer';
  const saltIn = (si: number | null) => (!isDeicer || si === null || perSi === null || deicer.salt === null || deicer.share === null ? null : finite(si * perSi * deicer.share)); // prettier-ignore
  const achievedSi = amountSi === null || areaM2 === null || areaM2 === 0 ? null : finite(amountSi / areaM2);
  return {
    areaM2,
    meantSi,
    amountSi,
    sweptSi,
    onGroundSi,
    achievedSi,
    ratio: ratioOf(achievedSi, meantSi, rate.unit),
    // A difference of two weighings, each to its last digit, twice over.
    uRatio: amountSi === null || amountSi === 0 ? 0 : finite((2 * Math.SQRT2 * readTo) / Math.sqrt(12) / amountSi),
    delivered: deliveredOn(input, onGroundSi === null || perSi === null ? null : onGroundSi * perSi, areaM2),
    saltKg: saltIn(onGroundSi),
    chlorideKg: !isDeicer || onGroundSi === null || perSi === null ? null : chlorideOf(deicer, onGroundSi * perSi),
    sweptSaltKg: saltIn(sweptSi),
    isVoid: isVoid(input),
    errors,
  }; // prettier-ignore
}

/**
 * What a weigh-back of a whole run was on each area: shared out as it was planned; all shares together are the whole.
 *
 * @param totalSi 0 or more
 * @param planned what each was to get, 0 or more; where nothing was planned all get the same
 * @throws InputError number.unusable
 * @example splitByPlan(30, [10, 20, 30]) // [5, 10, 15]
 */
export function splitByPlan(totalSi: number, planned: readonly number[]): number[] {
  requireFinite({ total: totalSi });
  for (const each of planned) requireFinite({ planned: each });
  const sum = planned.reduce((all, each) => all + Math.max(0, each), 0);
  const shares = planned.map((each) => (sum > 0 ? (totalSi * Math.max(0, each)) / sum : totalSi / planned.length)); // prettier-ignore
  const rest = totalSi - shares.slice(0, -1).reduce((all, each) => all + each, 0);
  return shares.map((share, index) => (index === shares.length - 1 ? finite(rest) : finite(share)));
}
