import type { AreaRun } from '@steady-scatter/core/runSheet';
import type { RunUnits } from '../load/LoadTable.tsx';
import type { RunOfSheet } from '../load/useRunSheet.ts';
import type { RunLogOf } from './useWalk.ts';

/** A run of one area, as its parts are given it. */
export interface RunProps {
  readonly run: AreaRun;
  readonly of: RunOfSheet;
  readonly units: RunUnits;
  readonly log: RunLogOf;
  /** Another device counts: it is looked at, not touched. */
  readonly isElsewhere: boolean;
}
export type LegOf = AreaRun['plan']['legs'][number];
