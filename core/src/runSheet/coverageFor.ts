import {
  assumedPattern,
  deflected,
  type AssumedPattern,
  type CoverageRequest,
  type Track,
} from '../coverage/index.ts';
import { isByTime, isThrown } from '../machines/kinds.ts';
import type { Pattern } from '../width/pattern.ts';
import type { LoadInput, LoadResult } from '../worksheet/index.ts';
import { trimFor, type AreaRun } from './areaRun.ts';
import type { MachineFacts } from './facts.ts';

/** How an area is looked at. */
export interface CoverageLook {
  readonly run: AreaRun;
  /** Measured with trays; null: none was, one is assumed. */
  readonly pattern: Pattern | null;
  readonly machine: MachineFacts | null;
  readonly spacingM: number;
  readonly input: LoadInput;
  readonly load: LoadResult;
  readonly seed: number;
  readonly cellM: number;
}

/**
 * What is assumed of a machine without a tray test: below a hopper or a boom all the width is alike, a spreader throws in a triangle.
 *
 * @example assumedFor('push-drop') // 'even'
 */
export const assumedFor = (kind: MachineFacts['kind'] | null): AssumedPattern =>
  isThrown(kind) ? 'triangle' : 'even';

/**
 * A simulation of an area as it is planned: each leg lays the pattern, trims with the deflector down to the edge.
 *
 * @example coverageFor(coverageLook).cellM // 0.5
 */
export function coverageFor({ run, pattern, machine, spacingM, input, load, seed, cellM }: CoverageLook): CoverageRequest {
  const kind = machine?.kind ?? null;
  const shape = pattern ?? assumedPattern(assumedFor(kind), spacingM);
  const perM = new Map(run.zones.map(({ zone, loadPerM }) => [zone, loadPerM]));
  const [loadSi, amountSi] = [run.zones.reduce((sum, zone) => sum + zone.loadSi, 0), run.amountSi];
  const product = loadSi > 0 ? amountSi / loadSi : 1;
  const atEdge = isThrown(kind) ? deflected(shape, input.edgeOn, trimFor(load, input, machine, spacingM).pathM) : shape;
  const tracks = run.plan.legs.map(({ zone, line }): Track => ({
    line,
    perM: (perM.get(zone) ?? 0) * product,
    pattern: zone === 'trim' ? atEdge : shape,
  }));
  const { lateM, earlyM, wanderM, paceSd } = load.walk;
  return {
    ground: run.ground.treated,
    area: run.ground.area,
    edges: run.ground.edges,
    tracks,
    targetPerM2: (run.amountSi + run.spareSi) / run.plan.areaM2,
    cellM,
    seed,
    wanderM,
    paceSd,
    flows: isByTime(kind),
    opensLateM: lateM,
    shutsEarlyM: earlyM,
  };
} // prettier-ignore
