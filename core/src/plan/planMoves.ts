import { toResult, InputError } from '../errors/InputError.ts';
import { requirePositive } from '../errors/preconditions.ts';
import { daysLater, daysUntil, isCalendarDay } from '../fields/days.ts';
import { readNeed } from '../need/needField.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact } from '../quantities/show.ts';
import { nearestAllowedDay, type PlanBook } from './planBook.ts';
import { MAX_PORTIONS, type PlanInput, type PortionInput } from './planInput.ts';
import type { PlanGround, PlannedPortion } from './planned.ts';

/** Portions as they are changed: the same list with others in it. */
type Portions = readonly PortionInput[];

/** An amount as a person would write it, in the unit of its portion. */
const amountText = (si: number, { unit }: Pick<PortionInput, 'unit'>): string =>
  showExact(fromSi(si, unit), 4).replace(/\s/g, '');

/**
 * Portions put on another day; nothing else of them changes, so that moving back leaves everything as it was.
 *
 * @param onDay year-month-day
 * @example movePortions([], new Set(['a']), '2026-05-16') // []
 */
export const movePortions = (portions: Portions, ids: ReadonlySet<string>, onDay: string): PortionInput[] =>
  portions.map((each) => (ids.has(each.id) ? { ...each, onDay } : each));

/** What is to be put on which ground. */
export interface PlannedNeed {
  readonly ground: readonly PlanGround[];
  readonly product: { readonly id: string; readonly name: string };
  readonly nutrient: PortionInput['nutrient'];
  /** All portions together, kg/m2 or L/m2, above 0. */
  readonly totalSi: number;
  readonly unit: PortionInput['unit'];
  readonly times: number;
  readonly firstDay: string;
  readonly everyDays: number;
}

/**
 * The portions of a need: on each area as many as asked for, so many days apart, each an equal part of the whole.
 *
 * @param idOf a new id each time
 * @throws InputError plan.many
 * @example portionsFor({ ...need, times: 2, everyDays: 28 }, idOf)[1].onDay // '2026-05-16'
 */
export function portionsFor(need: PlannedNeed, idOf: () => string): PortionInput[] {
  const { ground, product, nutrient: of, totalSi, unit, times, firstDay, everyDays } = need;
  requirePositive({ times, totalSi });
  if (times * ground.length > MAX_PORTIONS) throw new InputError('plan.many', { field: 'times', most: MAX_PORTIONS }); // prettier-ignore
  const amount = amountText(totalSi / times, { unit });
  return Array.from({ length: times }, (_, index) => daysLater(firstDay, index * everyDays)).flatMap(
    (onDay) =>
      ground.map(
        ({ site, area, siteName, areaName }): PortionInput => ({
          id: idOf(),
          site,
          area,
          siteName,
          areaName,
          product: product.id,
          productName: product.name,
          nutrient: of,
          amount,
          unit,
          onDay,
          hold: '',
          why: '',
          job: '',
        }),
      ),
  );
}

/** The same thing on the same ground. */
const isAlike = (a: PortionInput, b: PortionInput): boolean =>
  a.area === b.area &&
  a.product === b.product &&
  a.productName === b.productName &&
  a.nutrient === b.nutrient;

/** Those of the same kind that come after one, in their order. */
const laterThan = (portions: Portions, one: PortionInput): PortionInput[] =>
  portions
    .filter((each) => each.id !== one.id && isAlike(each, one) && each.onDay > one.onDay)
    .toSorted((a, b) => a.onDay.localeCompare(b.onDay));

/**
 * Catches up with portions that were missed: each goes on the nearest allowed day from today on, and those of its kind that come after it
 * keep their distance, as far as the plan reaches.
 *
 * @param missed what was missed, with its product and ground
 * @param open ids of what is not spread yet: nothing else is moved
 * @example catchUp(plan, [], new Set(), '2026-05-16', book).length // 1
 */
export function catchUp(
  { portions, toDay }: Pick<PlanInput, 'portions' | 'toDay'>,
  missed: readonly PlannedPortion[],
  open: ReadonlySet<string>,
  today: string,
  book: PlanBook,
): PortionInput[] {
  const moved = new Map<string, string>();
  for (const portion of missed) {
    const { input } = portion;
    const onDay = nearestAllowedDay([portion], today, { from: today, to: toDay }, book);
    if (onDay === null) continue;
    moved.set(input.id, onDay);
    const by = daysUntil(input.onDay, onDay);
    for (const later of laterThan(portions, input)) {
      const day = daysLater(later.onDay, by);
      if (open.has(later.id) && day <= toDay && !moved.has(later.id)) moved.set(later.id, day);
    }
  }
  return portions.map((each) => (moved.has(each.id) ? { ...each, onDay: moved.get(each.id)! } : each));
}

/**
 * Gives what was missed to those of its kind that are still to come, in equal parts; where none is left it stays.
 *
 * @param open ids of what is not spread yet
 * @example shareOut([], new Set(), new Set()) // []
 */
export function shareOut(portions: Portions, missed: ReadonlySet<string>, open: ReadonlySet<string>): PortionInput[] {
  const more = new Map<string, number>();
  const gone = new Set<string>();
  for (const one of portions) {
    if (!missed.has(one.id)) continue;
    const si = needOf(one);
    const rest = laterThan(portions, one).filter(({ id }) => open.has(id) && !missed.has(id));
    if (si === null || rest.length === 0) continue;
    gone.add(one.id);
    for (const { id } of rest) more.set(id, (more.get(id) ?? 0) + si / rest.length);
  }
  return portions.flatMap((each) => {
    if (gone.has(each.id)) return [];
    const [si, extra] = [needOf(each), more.get(each.id)];
    return si === null || extra === undefined ? [each] : [{ ...each, amount: amountText(si + extra, each) }];
  });
} // prettier-ignore

const needOf = ({ amount, unit }: PortionInput): number | null =>
  toResult(() => readNeed(amount, unit, 'amount').si).value;

/**
 * Half of it now, and the other half so many days later, held until somebody has looked whether it is wanted.
 *
 * @param days days between the two, above 0
 * @example halfAfterLook([], new Set(), 28, idOf) // []
 */
export function halfAfterLook(portions: Portions, ids: ReadonlySet<string>, days: number, idOf: () => string): PortionInput[] {
  requirePositive({ days });
  return portions.flatMap((each) => {
    const si = needOf(each);
    if (!ids.has(each.id) || si === null) return [each];
    const half = { ...each, amount: amountText(si / 2, each) };
    return [half, { ...half, id: idOf(), onDay: daysLater(each.onDay, days), hold: 'look' as const, why: '', job: '' }];
  });
} // prettier-ignore

/** The same day of the next year; 29 February becomes the 28th. */
function nextYearsDay(day: string): string {
  const next = `${String(Number(day.slice(0, 4)) + 1).padStart(4, '0')}${day.slice(4)}`;
  return isCalendarDay(next) ? next : `${next.slice(0, 8)}28`;
}

const inNextYear = (each: PortionInput, id: string): PortionInput => ({
  ...each,
  id,
  onDay: nextYearsDay(each.onDay),
  hold: each.hold === 'look' ? 'look' : '',
  why: '',
  job: '',
});

/**
 * The plan of the next year from this year's: the same portions on the same days, with no sheets yet and nothing that waits for weather.
 *
 * @param name what it is called
 * @param idOf a new id each time
 * @throws InputError date.unreadable
 * @example nextYearsPlan(blankPlan('2026', { from: '2026-01-01', to: '2026-12-31' }), '2027', idOf).toDay // '2027-12-31'
 */
export function nextYearsPlan(plan: PlanInput, name: string, idOf: () => string): PlanInput {
  const { portions, fromDay, toDay } = plan;
  for (const [field, day] of Object.entries({ fromDay, toDay }))
    if (!isCalendarDay(day))
      throw new InputError('date.unreadable', { field, input: day, hint: '2026-04-18' });
  return {
    ...plan,
    name,
    fromDay: nextYearsDay(fromDay),
    toDay: nextYearsDay(toDay),
    portions: portions.filter(({ onDay }) => isCalendarDay(onDay)).map((each) => inNextYear(each, idOf())),
  };
}
