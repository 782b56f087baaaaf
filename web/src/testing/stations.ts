import type { StationAnswer, StationQuantity } from '@steady-scatter/core/winter';
import { queries } from '../api/queries.ts';

/** What the station reads, as if it had been asked: a value that changed as much in each of the last ten minutes. */
export function keepStation(of: StationQuantity, value: number, perStep = 0): void {
  const now = Date.now();
  const answer: StationAnswer = {
    format: 'steady-scatter.station/1',
    name: 'Bridge',
    isSimulated: true,
    readings: Array.from({ length: 7 }, (_, back) => ({ of, value: value - perStep * back, at: new Date(now - back * 600_000).toISOString() })).toReversed(), // prettier-ignore
  };
  queries.setQueryData(['station', of], answer);
}
