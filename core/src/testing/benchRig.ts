import type { RigKind } from '../rigs/kinds.ts';
import { readRig, type Feeds, type RigTyped } from '../rigs/rig.ts';
import { NO_SCALE, type ScaleReading } from '../rigs/scale.ts';

/** What the bench has to know of a machine. */
export interface BenchRig {
  readonly kind: RigKind;
  readonly scale: ScaleReading;
  readonly second: ScaleReading;
  readonly outlets: number;
  readonly feeds: Feeds;
  readonly hopperKg: number | null;
  readonly paceMPerS: number | null;
}

/** Of a machine that is not known: readings can be worked out, nothing can be advised. */
export const NO_RIG: BenchRig = {
  kind: 'push-rotary',
  scale: NO_SCALE,
  second: NO_SCALE,
  outlets: 1,
  feeds: 'own-rows',
  hopperKg: null,
  paceMPerS: null,
};

/**
 * A machine as the bench sees it.
 *
 * @example benchRig(redSpreader).scale.marks.length // 37
 */
export function benchRig(typed: RigTyped): BenchRig {
  const { control, second, outlets, hopperKg, paceMPerS } = readRig(typed);
  return { kind: typed.kind, scale: control, second, outlets, feeds: typed.outlets.feeds, hopperKg, paceMPerS }; // prettier-ignore
}
