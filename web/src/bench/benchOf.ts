import type { Calibration, Product, Rig } from '@steady-scatter/contract';
import {
  benchRig,
  chartShape,
  NO_RIG,
  readCalibration,
  readRig,
  type BenchRig,
  type CalibrationReading,
  type CalibrationTyped,
  type ProductTyped,
  type RigTyped,
} from '@steady-scatter/core';
import { useMemo } from 'react';
import type { Doc } from '../kept/docs.ts';
import { useShelf } from '../products/useProducts.ts';
import { useRigs } from '../rigs/useRigs.ts';
import { useCalibrations } from './useCalibrations.ts';

/** What else is kept that a calibration leans on. */
export interface BenchShelf {
  readonly rigs: readonly Doc<Rig['typed']>[];
  readonly calibrations: readonly Doc<Calibration['typed']>[];
  readonly products: readonly Doc<Product['typed']>[];
}

/** A calibration with its machine, its product, and what it comes to. */
export interface OnBench {
  readonly rig: RigTyped | null;
  readonly bench: BenchRig;
  readonly product: ProductTyped | null;
  readonly reading: CalibrationReading;
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

/** Reads a calibration with its machine, and with the chart whose shape it borrows. */
export function benchOf(typed: CalibrationTyped, { rigs, calibrations, products }: BenchShelf): OnBench {
  const rig = rigs.find(({ id }) => id === typed.rig)?.typed ?? null;
  const bench = rig ? benchRig(rig) : NO_RIG;
  const other =
    typed.shape === '' ? null : (calibrations.find(({ id }) => id === typed.shape)?.typed ?? null);
  const shape = other ? chartShape(readCalibration(other, bench)) : null;
  return {
    rig,
    bench,
    product: products.find(({ id }) => id === typed.productId)?.typed ?? null,
    reading: readCalibration(typed, bench, shape),
    beforeUse: rig ? readRig(rig).before : [],
    afterUse: rig ? readRig(rig).after : [],
  };
}
