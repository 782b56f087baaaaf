import { message, type Message } from '../messages/message.ts';
import { readWhole } from '../fields/counts.ts';
import { meanOf, scatterOver } from '../numeric/spread.ts';
import { InputError } from '../errors/InputError.ts';
import { collect } from '../errors/collect.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import { showExact } from '../quantities/show.ts';
import { resolutionU } from '../numeric/resolution.ts';
import { MAX_TRAYS, type WidthTestInput } from './widthInput.ts';

/** One tray: where it stood and what it got, over all rows. */
export interface TrayResult {
  readonly xM: number;
  /** Deposit of one pass: kg/m2 for weights, else granules or metres of column. */
  readonly deposit: number;
  /** (n - 1) scatter over the rows, share of the mean; null with fewer than two. */
  readonly scatter: number | null;
  /** No row has it: it was put in straight between its neighbours. */
  readonly isFilled: boolean;
}

/** Something to ask before it is believed. */
export interface TrayCheck {
  readonly id: string;
  readonly text: Message;
}

export interface TraysResult {
  /** Where the trays stand, m, left to right; empty while it is not known. */
  readonly positionsM: readonly number[];
  /** Left to right; empty while they are not known. */
  readonly trays: readonly TrayResult[];
  /** Deposits of each whole row, filled in where a tray is missing. */
  readonly rows: readonly (readonly number[])[];
  /** Standard uncertainty of each deposit of a single row, from its reading. */
  readonly uDeposits: readonly number[];
  /** Distance of neighbouring trays, m: the usual one. */
  readonly spacingM: number | null;
  /** Trays that are wider than their distance would lie over each other. */
  readonly areaM2: number | null;
  readonly plausibility: readonly TrayCheck[];
  readonly errors: readonly InputError[];
}

type Collected = ReturnType<typeof collect>;

/** Positions as typed: "-4 -3.5 -3", rising. */
function readPositions(input: string, bareUnit: WidthTestInput['layout']['unit']): number[] {
  const texts = input.split(/[\s;]+/).filter(Boolean);
  const at = texts.map((text) => {
    const isLeft = /^[-−]/.test(text);
    const { si } = readQuantity(text.replace(/^[-−+]/, ''), { kind: 'length', bareUnit, field: 'layout.positions' }); // prettier-ignore
    return isLeft ? -si : si;
  });
  if (at.some((x, index) => index > 0 && x <= at[index - 1]!))
    throw new InputError('trays.order', { field: 'layout.positions' });
  if (at.length > MAX_TRAYS)
    throw new InputError('count.whole', { field: 'layout.positions', most: MAX_TRAYS, input: String(at.length) }); // prettier-ignore
  return at;
}

/**
 * Where the trays stand, m, left to right: evenly about the middle, half the gap for the wheels on each side of it, or as typed.
 *
 * @example positionsOf({ count: '5', spacing: '0.5', gap: '', positions: '', unit: 'm' }) // [-1, -0.5, 0, 0.5, 1]
 */
export function positionsOf(
  layout: WidthTestInput['layout'],
  { tryRead, readIfPresent }: Collected = collect(),
): number[] {
  const { count, spacing, gap, positions, unit } = layout;
  if (positions.trim() !== '') return tryRead(() => readPositions(positions, unit)) ?? [];
  const number = readIfPresent(count, () => readWhole(count, { field: 'layout.count', most: MAX_TRAYS }));
  const length = (text: string, name: 'spacing' | 'gap', what: Message) => readIfPresent(text, () => readPositive(text, { kind: 'length', bareUnit: unit, field: `layout.${name}` }, what).si); // prettier-ignore
  const apartM = length(spacing, 'spacing', message('errors.what.trayDistance'));
  const gapM = length(gap, 'gap', message('errors.what.wheelGap'));
  if (number === null || apartM === null) return [];
  if (gapM === null) return Array.from({ length: number }, (_, index) => (index - (number - 1) / 2) * apartM);
  // Around a gap there is no tray in the middle: as many on each side.
  const side = Math.floor(number / 2);
  const right = Array.from({ length: side }, (_, index) => gapM / 2 + index * apartM);
  return [...right.map((x) => -x).toReversed(), ...right];
}

/** Missing trays, put in straight between those beside them; at an end as the last one. */
function filled(row: readonly (number | null)[], xM: readonly number[]): number[] | null {
  const known = row.flatMap((value, index) => (value === null ? [] : [index]));
  if (known.length < 2) return null;
  return row.map((value, index) => {
    if (value !== null) return value;
    const left = known.findLast((each) => each < index);
    const right = known.find((each) => each > index);
    if (left === undefined || right === undefined) return row[left ?? right!]!;
    const share = (xM[index]! - xM[left]!) / (xM[right]! - xM[left]!);
    return row[left]! + share * (row[right]! - row[left]!);
  });
}

/** Nothing throws farther than this across its path, m. */
const MAX_SPAN_M = 100;

const MANY_TIMES = 10;

/** Catches that are ten times their neighbours: "is it 38 or 3.8?" */
function plausibilityChecks(
  input: WidthTestInput,
  values: readonly (readonly (number | null)[])[],
): TrayCheck[] {
  return values.flatMap((row, index) =>
    row.flatMap((value, at): TrayCheck[] => {
      const beside = [row[at - 1], row[at + 1]].filter((each) => typeof each === 'number');
      const most = Math.max(...beside);
      const id = `tray.${index}.${at}.${input.rows[index]?.[at]}`;
      if (value === null || beside.length < 2 || most <= 0 || value < MANY_TIMES * most || input.confirmed.includes(id)) return []; // prettier-ignore
      return [{ id, text: message('questions.tray', { number: at + 1, caught: input.rows[index]![at] ?? '', times: showExact(value / most, 2) }) }]; // prettier-ignore
    }),
  );
}

/**
 * Reads a row of trays: where they stood and what one pass put on each.
 *
 * `deposit = catch / (tray area x passes)`; rows are averaged, a missing tray is put in between its neighbours.
 *
 * @example evaluateTrays(trays).trays[8].deposit // 0.00866667 kg/m2
 */
export function evaluateTrays(input: WidthTestInput): TraysResult {
  const noted = collect();
  const { errors, readIfPresent } = noted;
  const xM = positionsOf(input.layout, noted);
  const side = (text: string, name: 'length' | 'width', what: Message) => readIfPresent(text, () => readPositive(text, { kind: 'length', bareUnit: input.tray.unit, field: `tray.${name}` }, what).si); // prettier-ignore
  const [lengthM, widthM] = [side(input.tray.length, 'length', message('errors.what.trayLength')), side(input.tray.width, 'width', message('errors.what.trayWidth'))]; // prettier-ignore
  const passes =
    readIfPresent(input.passes, () => readWhole(input.passes, { field: 'passes', most: 100 })) ?? 1;
  const isMass = input.kind === 'mass';
  const areaM2 = lengthM !== null && widthM !== null ? lengthM * widthM : null;
  const per = isMass ? (areaM2 ?? 1) * passes : passes;
  if (xM.length > 1 && xM.at(-1)! - xM[0]! > MAX_SPAN_M)
    errors.push(new InputError('trays.far', { field: input.layout.positions.trim() === '' ? 'layout.spacing' : 'layout.positions', span: String(Math.round(xM.at(-1)! - xM[0]!)), hint: `${input.layout.spacing.replace(/[^\d.,]/g, '') || '50'} cm` })); // prettier-ignore
  const gaps = xM.slice(1).map((x, index) => x - xM[index]!);
  const spacingM = gaps.length === 0 ? null : gaps.toSorted((a, b) => a - b)[Math.floor(gaps.length / 2)]!;
  if (widthM !== null && gaps.length > 0 && Math.min(...gaps) < widthM - 1e-9)
    errors.push(new InputError('trays.overlap', { field: 'layout.spacing' }));
  const stepKg = isMass ? readIfPresent(input.scaleStep, () => readPositive(input.scaleStep, { kind: 'mass', bareUnit: input.unit, field: 'scaleStep' }, message('errors.what.scaleStep')).si) : null; // prettier-ignore
  const uRows: number[][] = [];
  const values = input.rows.map((row, index) =>
    xM.map((_, at): number | null => {
      const text = row[at] ?? '';
      const field = `rows.${index}.${at}`;
      const read = readIfPresent(text, () => readCatch(text, input, field));
      if (!read) return null;
      // A count of n scatters by its root (Poisson); a reading by its step.
      const u = input.kind === 'count' ? Math.sqrt(Math.max(1, read.si)) : resolutionU(stepKg ?? read.resolutionSi); // prettier-ignore
      (uRows[at] ??= []).push(u / per);
      return read.si / per;
    }),
  );
  const counted = values.filter((row) => row.some((value) => value !== null));
  if (counted.length > 0 && xM.length < 3)
    errors.push(new InputError('trays.few', { field: 'layout.count' }));
  else if (counted.some((row) => row.every((value) => value !== null && value === 0)))
    errors.push(new InputError('trays.nothing', { field: 'rows.0.0' }));
  const rows = counted.flatMap((row) => {
    const whole = filled(row, xM);
    return whole && whole.some((value) => value > 0) ? [whole] : [];
  });
  const trays = rows.length === 0 || xM.length < 3 ? [] : xM.map((x, index) => trayOf(x, rows.map((row) => row[index]!), counted.every((row) => row[index] === null))); // prettier-ignore
  const mean = (list: readonly number[] | undefined) => (list && list.length > 0 ? meanOf(list) : 0);
  return {
    positionsM: xM,
    trays,
    rows,
    uDeposits: xM.map((_, index) => mean(uRows[index])),
    spacingM,
    areaM2,
    plausibility: plausibilityChecks(input, values),
    errors,
  };
}

function trayOf(xM: number, values: readonly number[], isFilled: boolean): TrayResult {
  return { xM, deposit: meanOf(values), scatter: scatterOver(values), isFilled };
}

/** One catch: a weight, a count or a height; 0 or more. */
function readCatch(text: string, { kind, unit }: WidthTestInput, field: string): { si: number; resolutionSi: number } {
  const read =
    kind === 'mass'
      ? readQuantity(text, { kind: 'mass', bareUnit: unit, field })
      : kind === 'height'
        ? readQuantity(text, { kind: 'length', bareUnit: 'mm', field })
        : { si: readNumber(text, field), resolutionSi: 1 };
  if (read.si < 0) throw new InputError('count.unreadable', { field, hint: '0' });
  return read;
} // prettier-ignore
