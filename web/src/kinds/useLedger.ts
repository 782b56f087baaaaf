import { yearOf, type LedgerArea } from '@steady-scatter/core/regulations';
import { useQuery } from '@tanstack/react-query';
import { Unreachable } from '../api/errors.ts';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';

/** What of the ledger is asked for; `areas` keys, null: all of them. */
export interface LedgerAsk {
  readonly from: string;
  readonly to: string;
  readonly areas?: readonly string[] | null;
  /** Sums of each month; else of all the days together. */
  readonly byMonth?: boolean;
  /** A job whose own records are left out: they are what is being planned. */
  readonly without?: string | null;
}

async function read(ask: LedgerAsk, signal: AbortSignal): Promise<readonly LedgerArea[]> {
  const { from, to, areas, without, byMonth } = ask;
  try {
    const query = {
      from,
      to,
      by: byMonth ? ('month' as const) : ('span' as const),
      ...(areas && { areas: areas.join() }),
      ...(without && { without }),
    };
    return await call('ledger', { query, signal });
  } catch (error) {
    if (!(error instanceof Unreachable)) throw error;
    // Its code is not loaded with the first sheet.
    return (await import('./ledgerAtHand.ts')).ledgerAtHand(ask);
  }
}

/** The ledger between two days; without a network as far as this device knows. Not asked for without areas that are asked for. */
export const useLedger = (ask: LedgerAsk | null) =>
  useQuery<readonly LedgerArea[]>(
    {
      queryKey: ['ledger', ask],
      queryFn: ({ signal }) => read(ask!, signal),
      enabled: ask !== null && ask.areas?.length !== 0,
    },
    queries,
  );

/** The crew's years, this one first, back to the first that anybody has records of. */
export function yearsFrom(today: string, start: string, count = 10): { from: string; to: string }[] {
  const years = [yearOf(today, start)];
  for (let index = 1; index < count; index += 1) {
    const { from } = years.at(-1)!;
    years.push(yearOf(`${Number(from.slice(0, 4)) - 1}-${from.slice(5)}`, start));
  }
  return years;
}
