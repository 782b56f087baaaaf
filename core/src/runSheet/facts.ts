import type { KnownEdge } from '../coverage/index.ts';
import type { Ground } from '../ground/index.ts';
import type { RigKind } from '../machines/kinds.ts';
import type { Message } from '../messages/message.ts';
import type { Age } from '../testing/freshness.ts';
import type { CalibrationResult } from '../testing/calibration.ts';

/** An area as it lies; of one that nobody drew nothing is known. */
export interface GroundFacts {
  /** What is treated, and all of it with its buffers. */
  readonly treated: Ground;
  readonly area: Ground;
  readonly edges: readonly KnownEdge[];
  /** Up is north: it was placed or surveyed. */
  readonly isPlaced: boolean;
}

/** The machine of a sheet with its chart. */
export interface MachineFacts {
  readonly kind: RigKind;
  readonly reading: Pick<
    CalibrationResult,
    'chart' | 'widthM' | 'dimension' | 'chartPaceMPerS' | 'paceMPerS'
  >;
  readonly isCeiling: boolean;
  readonly isSigned: boolean;
  /** The chart may be used for this product. */
  readonly isForProduct: boolean;
  readonly age: Age;
  /** What its hopper or its tank holds, kg or L; null: not known. */
  readonly holdsSi: number | null;
}

/** What a run sheet leans on besides the sheet itself. */
export interface RunFacts {
  /** By the id of the row on the sheet. */
  readonly grounds: ReadonlyMap<string, GroundFacts>;
  /** Null: none is chosen. */
  readonly machine: MachineFacts | null;
  /** What goes into a tank, finished mix on the ground, L/m2; null: the product goes into a hopper. */
  readonly mixLPerM2: number | null;
  /** What weighed runs of this machine with this product say; null: it spreads what is meant, or nobody knows. */
  readonly drift: { readonly side: 'heavy' | 'light'; readonly percent: number } | null;
  /** Rules and limits of the label that are broken. */
  readonly broken: readonly { readonly id: string; readonly rule: Message }[];
}
