import {
  stationNow,
  type StationAnswer,
  type StationNow,
  type StationQuantity,
} from '@steady-scatter/core/winter';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';

const EVERY_MS = 60_000;

/** What the station reads now. */
export interface Station {
  readonly name: string;
  readonly isSimulated: boolean;
  readonly now: StationNow;
}

/** What an answer says of one quantity at this moment. */
function read({ name, isSimulated, readings }: StationAnswer, of: StationQuantity): Station | null {
  const now = stationNow(readings, of, Date.now());
  return now && { name, isSimulated, now };
}

/**
 * Asks the station for a quantity, and again every minute.
 *
 * @returns null: it does not answer, or has nothing of the last half hour; undefined: it is being asked
 */
export function useStation(of: StationQuantity): Station | null | undefined {
  const { data, error } = useQuery(
    {
      queryKey: ['station', of],
      queryFn: ({ signal }) => call('station', { query: { of }, signal }),
      select: (answer) => read(answer, of),
      refetchInterval: EVERY_MS,
      retry: false,
    },
    queries,
  );
  return error ? null : data;
}
