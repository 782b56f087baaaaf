import type { Calibration, Product, Rig } from '@steady-scatter/contract';
import { evaluateRig, type RigInput } from '@steady-scatter/core/rigs';
import type { ProductInput } from '@steady-scatter/core/shelf';
import {
  benchRig,
  chartShape,
  machineRecord,
  NO_RIG,
  evaluateCalibration,
  type BenchRig,
  type CalibrationResult,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { useMemo } from 'react';
import type { Doc } from '../documents/docs.ts';
import { useShelf } from '../products/useProducts.ts';
import { useRigs } from '../rigs/useRigs.ts';
import { today } from '../ui/today.ts';
import { useCalibrations } from './useCalibrations.ts';

/** What else is kept that a calibration leans on. */
export interface BenchShelf {
  readonly rigs: readonly Doc<Rig['typed']>[];
  readonly calibrations: readonly Doc<Calibration['typed']>[];
  readonly products: readonly Doc<Product['typed']>[];
}

/** A calibration with its machine, its product, and what it comes to. */
export interface CalibrationContext {
  readonly rig: RigInput | null;
  readonly bench: BenchRig;
  readonly product: ProductInput | null;
  readonly reading: CalibrationResult;
  /** Looked at before use: what the kind asks for and the crew's own additions. */
  readonly beforeUse: readonly string[];
  readonly afterUse: readonly string[];
}

const NONE: readonly never[] = [];

/** Everything that calibrations lean on, as far as it has come. */
export function useBenchShelf(): BenchShelf {
  const { data: rigs = NONE } = useRigs();
  const { data: calibrations = NONE } = useCalibrations();
  const { data: products = NONE } = useShelf();
  return useMemo(() => ({ rigs, calibrations, products }), [rigs, calibrations, products]);
}

/**
 * Reads a calibration with its machine, with the chart whose shape it borrows, and with what the machine's other calibrations tell
 * of its scatter.
 *
 * @param id of the calibration; null for a new one, or where it is one of the shelf's
 */
export function calibrationContext(
  typed: CalibrationInput,
  { rigs, calibrations, products }: BenchShelf,
  id: string | null = null,
): CalibrationContext {
  const rig = rigs.find((each) => each.id === typed.rig)?.typed ?? null;
  const bench = rig ? benchRig(rig) : NO_RIG;
  const other =
    typed.shape === '' ? null : (calibrations.find((each) => each.id === typed.shape)?.typed ?? null);
  const shape = other ? chartShape(evaluateCalibration(other, bench)) : null;
  const record = machineRecord(calibrations, { id, typed }, bench, today());
  return {
    rig,
    bench,
    product: products.find((each) => each.id === typed.productId)?.typed ?? null,
    reading: evaluateCalibration(typed, bench, shape, record),
    beforeUse: rig ? evaluateRig(rig).before : [],
    afterUse: rig ? evaluateRig(rig).after : [],
  };
}
