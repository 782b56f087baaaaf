import { scaleAtRest } from '@steady-scatter/core/winter';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';

const EVERY_MS = 1000;

/** What a scale shows. */
export interface ScaleShown {
  readonly name: string;
  readonly isSimulated: boolean;
  readonly nowKg: number;
  /** Null while it moves. */
  readonly restKg: number | null;
}

/**
 * Reads the scale every second while somebody waits for it.
 *
 * @returns null: none answers; undefined: it is being asked, or nobody asks
 */
export function useScale(isOn: boolean): ScaleShown | null | undefined {
  const { data, error } = useQuery(
    {
      queryKey: ['station', 'scale'],
      queryFn: ({ signal }) => call('station', { query: { of: 'scale' }, signal }),
      enabled: isOn,
      refetchInterval: EVERY_MS,
      // What it showed the last time is another weight.
      gcTime: 0,
      retry: false,
    },
    queries,
  );
  if (error) return null;
  const last = data?.readings.at(-1);
  if (!isOn || !data || !last) return undefined;
  return { name: data.name, isSimulated: data.isSimulated, nowKg: last.value, restKg: scaleAtRest(data.readings) }; // prettier-ignore
}
