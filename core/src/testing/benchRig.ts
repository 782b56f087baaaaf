import { rigKind, type RigKind } from '../rigs/kinds.ts';
import { evaluateRig, type RigInput } from '../rigs/rig.ts';
import { NO_SCALE, type ScaleResult } from '../rigs/scale.ts';

/** What the bench has to know of a machine. */
export interface BenchRig {
  readonly kind: RigKind;
  readonly scale: ScaleResult;
  readonly second: ScaleResult;
  readonly outlets: number;
  /** Rows that all outlets together feed at once: as many as outlets where each feeds its own, else 1. */
  readonly rows: number;
  readonly hopperKg: number | null;
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
  paceMPerS: null,
};

/**
 * A machine as the bench sees it.
 *
 * @example benchRig(redSpreader).scale.marks.length // 37
 */
export function benchRig(typed: RigInput): BenchRig {
  const { control, second, outlets, hopperKg, paceMPerS } = evaluateRig(typed);
  const feedsRows = rigKind(typed.kind).width === 'row spacing' && typed.outlets.feeds === 'own-rows';
  const rows = feedsRows ? outlets : 1;
  return { kind: typed.kind, scale: control, second, outlets, rows, hopperKg, paceMPerS };
}
