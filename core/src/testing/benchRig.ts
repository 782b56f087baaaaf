import { rigKind, type RigKind } from '../machines/kinds.ts';
import { evaluateRig } from '../machines/rig.ts';
import type { RigInput } from '../machines/rigInput.ts';
import { NO_SCALE, type ScaleResult } from '../machines/scale.ts';

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
export function benchRig(input: RigInput): BenchRig {
  const { control, second, outlets, hopperKg, paceMPerS } = evaluateRig(input);
  const feedsRows = rigKind(input.kind).width === 'rows' && input.outlets.feeds === 'own-rows';
  const rows = feedsRows ? outlets : 1;
  return { kind: input.kind, scale: control, second, outlets, rows, hopperKg, paceMPerS };
}
