import { InputError } from '../errors/InputError.ts';
import { daysUntil } from '../fields/days.ts';
import { readDay } from '../fields/heading.ts';
import { message, type Speak } from '../messages/message.ts';
import { isUnitOf, UNITS, type AreaUnit, type System, type UnitId } from '../quantities/units.ts';
import { unitSpelled } from '../quantities/spelling.ts';
import { evaluateApplication } from './application.ts';
import { blankApplication, type ApplicationInput } from './applicationInput.ts';
import { logHeading, LOG_COLUMNS, type LogColumn } from './logTable.ts';
import { nameKey } from '../fields/nameKey.ts';

/** One line of a table of records, read; `errors` says why it cannot be taken in. */
export interface LogRowResult {
  readonly input: ApplicationInput;
  /** The day and the time of day where it was done. */
  readonly onDay: string;
  readonly time: string;
  readonly errors: readonly InputError[];
}

/**
 * Which column of the log each heading of a table is; null: none. Headings are those of the log, or the names of its columns.
 *
 * @example logColumns(['Day', 'area', 'Colour'], speak) // ['day', 'area', null]
 */
export function logColumns(headings: readonly string[], speak: Speak): (LogColumn | null)[] {
  const known = new Map(LOG_COLUMNS.flatMap((column) => [[nameKey(column), column] as const, [nameKey(speak(logHeading(column))), column] as const])); // prettier-ignore
  return headings.map((heading) => known.get(nameKey(heading)) ?? null);
}

/** What an export sets before a text that a spreadsheet would run is no part of it. */
const withoutMark = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@])/, '');

const unitFor = <Id extends UnitId>(typed: string, kinds: readonly Parameters<typeof isUnitOf>[0][], usual: Id): Id =>
  (kinds.map((kind) => unitSpelled(typed, kind)).find((unit) => unit !== null && unit !== undefined) as Id | undefined) ?? usual; // prettier-ignore

/** The product of a line: its kind by the unit that it was put out in. */
const productFor = (blank: ApplicationInput, cell: (column: LogColumn) => string, isLiquid: boolean): ApplicationInput['product'] => ({
  ...blank.product,
  name: cell('product'),
  kind: isLiquid ? 'liquid-fertilizer' : 'dry-fertilizer',
  grade: cell('grade'),
  lot: cell('lot'),
}); // prettier-ignore

/** A time of day: "8:05", "08:05"; empty: noon. */
function readTime(text: string): string {
  if (text === '') return '12:00';
  const found = /^(\d{1,2}):(\d\d)(:\d\d)?$/.exec(text);
  if (!found || Number(found[1]) > 23 || Number(found[2]) > 59) throw new InputError('time.unreadable', { field: 'time', input: text, hint: '08:30' }); // prettier-ignore
  return `${found[1]!.padStart(2, '0')}:${found[2]!}`;
}

/** What a line has to say besides what an application reads by itself. */
function missing(input: ApplicationInput, day: string, today: string): InputError[] {
  const lacks = (field: string, hint: string, text: string) => (text === '' ? [new InputError('number.empty', { field, hint })] : []); // prettier-ignore
  return [
    ...lacks('size', '5 000 ft2', input.size.text),
    ...(input.product.name === '' ? [new InputError('name.empty', { field: 'product', example: message('errors.example.product') })] : []),
    ...(daysUntil(day, today) < 0 ? [new InputError('date.future', { field: 'day', input: day })] : []),
  ]; // prettier-ignore
}

/**
 * Reads a line of a table of records.
 *
 * @param cells by the column of the log
 * @param today year-month-day: nothing is taken in of a day to come
 * @param system units of bare numbers where the table names none
 * @example readLogRow({ day: '2026-04-18', area: 'Pitch', size: '10000', product: 'Lake feed', amount: '30' }, { today: '2026-05-01', system: 'us', runId: 'r' }).input.amount.unit // 'lb'
 */
export function readLogRow(
  cells: Readonly<Partial<Record<LogColumn, string>>>,
  { today, system, runId }: { readonly today: string; readonly system: System; readonly runId: string },
): LogRowResult {
  const cell = (column: LogColumn) => withoutMark(cells[column] ?? '');
  const blank = blankApplication(system);
  const amountUnit = unitFor(cell('amountUnit'), ['mass', 'volume'], blank.amount.unit);
  const isLiquid = UNITS[amountUnit].kind === 'volume';
  const from = (['weighed', 'split', 'packages', 'planned'] as const).find((id) => id === cell('known')) ?? 'packages';
  const usualRate = isLiquid ? (system === 'us' ? 'gal/1000 ft2' : 'L/ha') : blank.rate.unit;
  const input: ApplicationInput = {
    ...blank,
    runId,
    by: cell('by'),
    license: cell('license'),
    siteName: cell('site'),
    areaName: cell('area'),
    surface: 'turf',
    size: { text: cell('size'), unit: unitFor<AreaUnit>(cell('sizeUnit'), ['area'], blank.size.unit) },
    product: productFor(blank, cell, isLiquid),
    need: cell('need'),
    rate: { text: cell('meant'), unit: unitFor(cell('meantUnit'), [isLiquid ? 'volumePerArea' : 'massPerArea'], usualRate) },
    amount: { text: cell('amount'), unit: amountUnit, from },
    leftover: { ...blank.leftover, unit: amountUnit },
    swept: { ...blank.swept, unit: amountUnit },
    machine: { ...blank.machine, name: cell('machine') },
    setting: cell('setting'),
    pace: cell('pace'),
    spacing: cell('spacing'),
    weather: { ...blank.weather, wind: cell('wind'), sky: cell('sky') },
    water: cell('water'),
    note: cell('note'),
    void: cell('void'),
    correction: cell('correction'),
  };
  const errors: InputError[] = [];
  const tryRead = (read: () => string) => {
    try {
      return read();
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      errors.push(error);
      return '';
    }
  };
  const onDay = tryRead(() => readDay(cell('day'), 'day'));
  const time = tryRead(() => readTime(cell('time')));
  errors.push(...evaluateApplication(input).errors, ...missing(input, onDay === '' ? today : onDay, today));
  return { input: { ...input, onDay }, onDay, time, errors };
} // prettier-ignore
