import {
  stationAnswer,
  stationNow,
  type StationAnswer,
  type StationNow,
  type StationQuantity,
} from '@steady-scatter/core/winter';
import { useEffect, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { heldHere, holdHere } from '../ui/browserStores.ts';

const EVERY_MS = 60_000;

/** What the station reads now. */
export interface Station {
  readonly name: string;
  readonly isSimulated: boolean;
  readonly now: StationNow;
}

/** The moment, as often as it matters here. */
function useMoment(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

const heldAs = (of: StationQuantity): string => `steady-scatter.station.${of}`;

/** Asks, and has this device hold what was answered: where the network goes, the last reading stands until it is too old. */
async function ask(of: StationQuantity, signal: AbortSignal): Promise<StationAnswer> {
  const answer = await call('station', { query: { of }, signal });
  holdHere(heldAs(of), answer);
  return answer;
}

/**
 * Asks the station for a quantity, and again every minute. Without an answer the last reading stands, for half an hour.
 *
 * @returns null: it does not answer, or has nothing of the last half hour; undefined: it is being asked
 */
export function useStation(of: StationQuantity): Station | null | undefined {
  const { data, error, dataUpdatedAt } = useQuery(
    {
      queryKey: ['station', of],
      queryFn: ({ signal }) => ask(of, signal),
      initialData: () => heldHere(heldAs(of), stationAnswer),
      initialDataUpdatedAt: 0,
      refetchInterval: EVERY_MS,
      retry: false,
    },
    queries,
  );
  const moment = Math.max(useMoment(), dataUpdatedAt);
  if (!data) return error ? null : undefined;
  const now = stationNow(data.readings, of, moment);
  return now && { name: data.name, isSimulated: data.isSimulated, now };
}
