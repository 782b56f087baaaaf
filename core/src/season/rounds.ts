import { grouped } from '../fields/grouped.ts';
import { finite } from '../errors/preconditions.ts';
import { latestOf, type AppendedRow } from '../fields/latest.ts';
import { PRODUCT_KINDS } from '../products/product.ts';
import { evaluateApplication, isVoid } from './application.ts';
import type { ApplicationInput } from './applicationInput.ts';

/** An appended round on an area. */
export interface ApplicationRow extends AppendedRow {
  readonly subject: string;
  readonly input: ApplicationInput;
}

/** What was done on one area, as it stands by now; `first` is when it was first said. */
export interface DoneRow {
  /** Of the first row that said it: later ones name it. */
  readonly root: string;
  readonly startedAt: string;
  /** When what stands now was said. */
  readonly saidAt: string;
  readonly subject: string;
  readonly input: ApplicationInput;
}

/** A round of a storm. */
export interface Round {
  readonly round: string;
  readonly rows: readonly DoneRow[];
  readonly from: string;
  readonly until: string;
  /** Of rows that count: kg of what is dry, L of what is liquid. */
  readonly dryKg: number;
  readonly liquidL: number;
}

/**
 * What rows say by now, each with when it was done: a correction names its first row and says it anew, and the work was done when the
 * first one says.
 *
 * @param rows of one storm, in any order
 * @example doneRows([]) // []
 */
export function doneRows(rows: readonly ApplicationRow[]): DoneRow[] {
  const known = new Map(rows.map((row) => [row.id, row]));
  return latestOf(rows)
    .map((row): DoneRow => {
      const root = row.first ?? row.id;
      return { root, startedAt: known.get(root)?.occurredAt ?? row.occurredAt, saidAt: row.occurredAt, subject: row.subject, input: row.input }; // prettier-ignore
    })
    .toSorted((a, b) => a.startedAt.localeCompare(b.startedAt));
}

function roundOf(round: string, rows: readonly DoneRow[]): Round {
  const read = rows.map(({ input }) => ({ kind: input.product.kind, ...evaluateApplication(input) }));
  const counted = read.filter(({ isVoid, amountSi }) => !isVoid && amountSi !== null);
  const sum = (isLiquid: boolean) =>
    finite(
      counted
        .filter(({ kind }) => (PRODUCT_KINDS[kind].form === 'liquid') === isLiquid)
        .reduce((all, { amountSi }) => all + amountSi!, 0),
    );
  const ends = rows.map(({ startedAt, input }) => (input.until === '' ? startedAt : input.until));
  return {
    round,
    rows,
    from: rows[0]!.startedAt,
    until: ends.reduce((last, each) => (each > last ? each : last)),
    dryKg: sum(false),
    liquidL: sum(true),
  };
}

/**
 * The rounds of a storm, in their order, whoever made them.
 *
 * @param rows as they stand by now
 * @example roundsOf([]) // []
 */
export function roundsOf(rows: readonly DoneRow[]): Round[] {
  return [...grouped(rows, ({ input }) => input.round)]
    .map(([round, group]) => roundOf(round, group))
    .toSorted((a, b) => (Number(a.round) || 0) - (Number(b.round) || 0) || a.from.localeCompare(b.from));
}

/**
 * The number of the round after all of these.
 *
 * @example nextRound([]) // '1'
 */
export const nextRound = (rounds: readonly Pick<Round, 'round'>[]): string =>
  String(Math.max(0, ...rounds.map(({ round }) => Number(round) || 0)) + 1);

/**
 * The round to work on: the last one while areas of it are left, else the one after it.
 *
 * @param areas of the route
 * @example roundToDo([], 6) // { round: '1', isBegun: false }
 */
export function roundToDo(
  rounds: readonly Pick<Round, 'round' | 'rows'>[],
  areas: number,
): { readonly round: string; readonly isBegun: boolean } {
  const last = rounds.at(-1);
  const done = last?.rows.filter(({ input }) => !isVoid(input)).length ?? 0;
  return last && done < areas
    ? { round: last.round, isBegun: true }
    : { round: nextRound(rounds), isBegun: false };
}

/**
 * What went out of machines, by machine and product: what is left of each is weighed back as one.
 *
 * @param rows of one run, as they stand by now; what went out by hand or does not count is in none
 * @example machineLoads([]) // []
 */
export function machineLoads(rows: readonly DoneRow[]): DoneRow[][] {
  const loads = new Map<string, DoneRow[]>();
  for (const row of rows) {
    const { machine, product } = row.input;
    if (machine.id === '' || isVoid(row.input)) continue;
    const key = `${machine.id} ${product.id} ${product.kind}`;
    loads.set(key, [...(loads.get(key) ?? []), row]);
  }
  return [...loads.values()];
}
