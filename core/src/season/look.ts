import * as z from 'zod';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { daysLater, daysUntil, isCalendarDay } from '../fields/days.ts';
import { latestOf, type AppendedRow } from '../fields/latest.ts';
import { readDay } from '../fields/heading.ts';
import { idOrNone, text, type InputOf } from '../fields/schema.ts';
import type { DoneRow } from './rounds.ts';
import { isVoid } from './application.ts';

/** How ground looks weeks later, from the worst. */
export const RATINGS = ['1', '2', '3', '4', '5'] as const;

/** A look at an area weeks after something was put down, as typed: a row that is appended. */
export const lookInput = z.object({
  /** The application that it looks at: the first row of it. */
  application: z.uuid(),
  area: idOrNone,
  areaName: text,
  productName: text,
  onDay: text,
  by: text,
  rating: z.enum(['', ...RATINGS]),
  note: text,
  photos: z.array(z.uuid()).max(20),
  /** Why it does not count; empty: it counts. */
  void: text,
});
export type LookInput = InputOf<typeof lookInput>;

/**
 * Reads a look: a day and a rating, or at least a note.
 *
 * @example evaluateLook({ application: 'a', area: '', areaName: 'Pitch', productName: '', onDay: '2026-05-02', by: '', rating: '', note: '', photos: [], void: '' }).errors[0].code // 'look.nothing'
 */
export function evaluateLook({ onDay, rating, note, photos }: LookInput): {
  readonly errors: readonly InputError[];
} {
  const { errors, tryRead } = collect();
  tryRead(() => readDay(onDay, 'onDay'));
  if (rating === '' && note.trim() === '' && photos.length === 0) errors.push(new InputError('look.nothing', { field: 'rating' })); // prettier-ignore
  return { errors };
}

/** What feeds shows after two weeks, and is forgotten after six. */
export const LOOK_DAYS = { from: 14, to: 28, forgotten: 45 } as const;

/** An application that wants to be looked at. */
export interface LookDue {
  readonly row: DoneRow;
  readonly onDay: string;
  readonly from: string;
  readonly to: string;
  readonly state: 'soon' | 'due' | 'late';
}

/**
 * The day a row was done: as it says, or of its moment.
 *
 * @example dayOfRow({ input: blankApplication('us'), startedAt: '2026-04-18T08:00:00.000Z' }) // '2026-04-18'
 */
export const dayOfRow = ({ input, startedAt }: Pick<DoneRow, 'input' | 'startedAt'>): string =>
  input.onDay === '' ? startedAt.slice(0, 10) : input.onDay;

/**
 * What wants to be looked at on a day: put down two to four weeks ago on turf or beds, and not looked at since. The last of an area counts.
 *
 * @param seen roots that were looked at
 * @param today year-month-day
 * @example looksDue([], new Set(), '2026-05-10') // []
 */
export function looksDue(rows: readonly DoneRow[], seen: ReadonlySet<string>, today: string): LookDue[] {
  const last = new Map<string, DoneRow>();
  for (const row of rows)
    if (!isVoid(row.input) && row.input.round === '') last.set(`${row.input.area || row.subject} ${row.input.areaName}`, row); // prettier-ignore
  return [...last.values()].flatMap((row): LookDue[] => {
    const onDay = dayOfRow(row);
    if (!isCalendarDay(onDay)) return [];
    const age = daysUntil(onDay, today);
    if (seen.has(row.root) || age < 0 || age > LOOK_DAYS.forgotten) return [];
    const state = age < LOOK_DAYS.from ? 'soon' : age <= LOOK_DAYS.to ? 'due' : 'late';
    return [
      { row, onDay, from: daysLater(onDay, LOOK_DAYS.from), to: daysLater(onDay, LOOK_DAYS.to), state },
    ];
  });
}

interface LookRow extends AppendedRow {
  readonly subject: string;
  readonly input: LookInput;
}

/** What was seen of something that was put down. */
export interface LookSeen {
  readonly id: string;
  readonly subject: string;
  readonly input: LookInput;
  /** What was put down; null: it is not at hand. */
  readonly row: DoneRow | null;
  /** Days after it. */
  readonly afterDays: number | null;
}

/**
 * What was seen, product by product, the rate that was reached and the days since beside it; of each product the oldest first.
 *
 * @example looksSeen([], []) // []
 */
export function looksSeen(looks: readonly LookRow[], rows: readonly DoneRow[]): LookSeen[] {
  const byRoot = new Map(rows.map((row) => [row.root, row]));
  return latestOf(looks)
    .filter(({ input }) => input.void.trim() === '')
    .map(({ id, subject, input }): LookSeen => {
      const row = byRoot.get(input.application) ?? null;
      return { id, subject, input, row, afterDays: row && isCalendarDay(dayOfRow(row)) && isCalendarDay(input.onDay) ? daysUntil(dayOfRow(row), input.onDay) : null };
    })
    .toSorted((a, b) => a.input.productName.localeCompare(b.input.productName) || a.input.onDay.localeCompare(b.input.onDay) || a.id.localeCompare(b.id));
} // prettier-ignore
