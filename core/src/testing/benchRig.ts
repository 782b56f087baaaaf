import { rigKind, type RigKind } from '../machines/kinds.ts';
import { evaluateRig } from '../machines/rig.ts';
import type { RigInput } from '../machines/rigInput.ts';
import { dimensionOf, isSprayed, type BenchRateUnit } from './rate.ts';
import { NO_SCALE, type ScaleResult } from '../machines/scale.ts';
import type { SprayResult } from '../machines/spray.ts';

/** What the bench has to know of a machine. */
export interface BenchRig {
  readonly kind: RigKind;
  readonly scale: ScaleResult;
  readonly second: ScaleResult;
  /** How many are caught apart: outlets, or nozzles of what sprays. */
  readonly outlets: number;
  /** Rows that all outlets together feed at once: as many as outlets where each feeds its own, else 1. */
  readonly rows: number;
  readonly hopperKg: number | null;
  /** What it sprays with; null: it spreads, or nothing is known of it. */
  readonly spray: SprayResult | null;
  readonly paceMPerS: number | null;
}

/** Of a machine that is not known: readings can be worked out, nothing can be advised. */
export const NO_RIG: BenchRig = {
  kind: 'push-rotary',
  scale: NO_SCALE,
  second: NO_SCALE,
  outlets: 1,
  rows: 1,
  hopperKg: null,
  spray: null,
  paceMPerS: null,
};

/**
 * A machine as the bench sees it.
 *
 * @param unit of the rate that is wanted: of a machine that does both it says whether what it sprays is tested
 * @example benchRig(redSpreader).scale.marks.length // 37
 */
export function benchRig(input: RigInput, unit: BenchRateUnit | null = null): BenchRig {
  const { puts } = rigKind(input.kind);
  const sprays = puts === 'wet' || (puts === 'both' && unit !== null && isSprayed(dimensionOf(unit)));
  const { control, second, outlets, hopperKg, paceMPerS, spray } = evaluateRig(input);
  // Of a machine that does both, the marks are those of its gate.
  const marks = puts === 'both' ? { scale: NO_SCALE, second: NO_SCALE } : { scale: control, second };
  if (sprays) return { kind: input.kind, ...marks, outlets: spray.count, rows: 1, hopperKg: null, spray, paceMPerS }; // prettier-ignore
  const feedsRows = rigKind(input.kind).width === 'rows' && input.outlets.feeds === 'own-rows';
  const rows = feedsRows ? outlets : 1;
  return { kind: input.kind, scale: control, second, outlets, rows, hopperKg, spray: null, paceMPerS };
}
