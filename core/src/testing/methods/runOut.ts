import { finite, requirePositive } from '../../errors/preconditions.ts';
import {
  combined,
  netOf,
  relative,
  relativeNet,
  type Reading,
  type UncertaintySource,
} from '../uncertainty.ts';

/** A weighed load spread on a known area. */
export interface RunOut {
  readonly loadKg: Reading;
  readonly leftKg: Reading;
  /** The ground it went on; where it ran out before the end, the ground that was covered. */
  readonly areaM2: Reading;
}

/**
 * Run-out: `(load - left) / area`. There is no output per metre in it until a pass spacing is known.
 *
 * @throws InputError test.nothing-out
 * @example runOut({ loadKg: read(9), leftKg: read(1.25), areaM2: read(900) }).rateKgPerM2 // 0.008611
 */
export function runOut({ loadKg, leftKg, areaM2 }: RunOut): {
  rateKgPerM2: number;
  uReadings: number;
  sources: UncertaintySource[];
  netKg: number;
} {
  requirePositive({ area: areaM2.si });
  const net = netOf(loadKg, leftKg, 'left');
  const sources: UncertaintySource[] = [
    { of: 'weighing', u: relativeNet(net) },
    { of: 'area', u: relative(areaM2) },
  ];
  return { rateKgPerM2: finite(net.si / areaM2.si), uReadings: combined(sources), sources, netKg: net.si };
}
