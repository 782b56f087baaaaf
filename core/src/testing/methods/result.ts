import { finite, requirePositive } from '../../errors/preconditions.ts';
import {
  combined,
  relative,
  relativeNet,
  type Net,
  type Reading,
  type UncertaintySource,
} from '../uncertainty.ts';

/** What a dry test comes to. */
export interface TestResult {
  /** Product put out on each metre travelled, kg/m. */
  readonly outputPerM: number;
  readonly rateSi: number;
  /** Relative standard uncertainty of the rate from the readings. */
  readonly uReadings: number;
  /** What it is made of. */
  readonly sources: readonly UncertaintySource[];
  /** What was caught or is gone, kg; 0: nothing came out. */
  readonly netSi: number;
}

/** A width: of the hopper or of taped ground it was measured; the pass spacing is chosen and has no reading error. */
export type Width = Reading;

/**
 * Output and rate from a net weight over a length: `output = net / (length x runs)`, `rate = output / width`.
 *
 * @param runs times that the length was covered, a whole number from 1
 */
export function overLength(net: Net, length: Reading, width: Width, runs: number): TestResult {
  requirePositive({ length: length.si, width: width.si, runs });
  const outputPerM = net.si / (length.si * runs);
  const sources: UncertaintySource[] = [
    { of: 'weighing', u: relativeNet(net) },
    { of: 'length', u: relative(length) },
    { of: 'width', u: relative(width) },
  ];
  return {
    outputPerM,
    rateSi: finite(outputPerM / width.si),
    uReadings: combined(sources),
    sources,
    netSi: net.si,
  };
}
