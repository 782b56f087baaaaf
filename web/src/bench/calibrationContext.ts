import { evaluateRig, type RigInput } from '@steady-scatter/core/machines';
import type { ProductInput } from '@steady-scatter/core/products';
import {
  benchRig,
  chartShape,
  dimensionOf,
  machineRecord,
  NO_RIG,
  evaluateCalibration,
  withFieldRuns,
  type SinceSigned,
  type BenchRig,
  type CalibrationResult,
  type CalibrationInput,
} from '@steady-scatter/core/testing';
import { driftOf, fieldRunsOf, weighedRuns, type DoneRow } from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { speak } from '@steady-scatter/words/bench';
import { allDocs, type Doc } from '../documents/docs.ts';
import { PRODUCTS } from '../kinds/useProducts.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { RIGS, useRigs } from '../kinds/useRigs.ts';
import { useApplications } from '../kinds/useApplications.ts';
import { useWinterFrom } from '../kinds/useWinters.ts';
import { today } from '../ui/today.ts';
import { allCalibrations, useCalibrations, useCalibrationsOf } from '../kinds/useCalibrations.ts';

/** What else is kept that a calibration leans on. */
export interface BenchShelf {
  readonly rigs: readonly Doc<RigInput>[];
  readonly calibrations: readonly Doc<CalibrationInput>[];
  readonly products: readonly Doc<ProductInput>[];
  /** First day of the winter that it is; none: it is none. */
  readonly winterFrom?: string | null;
  /** What was spread, as it stands by now. */
  readonly done?: readonly DoneRow[];
}

/** A calibration with its machine, its product, and what it comes to. */
export interface CalibrationContext {
  readonly rig: RigInput | null;
  readonly bench: BenchRig;
  readonly product: ProductInput | null;
  readonly reading: CalibrationResult;
  readonly winterFrom: string | null;
  /** What weighed runs say of the machine with this product; null: it spreads what is meant, or nobody knows. */
  readonly drift: SinceSigned['drift'];
  /** Looked at before use: what the kind asks for and the crew's own additions. */
  readonly beforeUse: readonly string[];
  readonly afterUse: readonly string[];
}

const NONE: readonly never[] = [];

/** Which way a machine drifts with a product. */
export function driftSide(done: readonly DoneRow[], rig: string, product: string): SinceSigned['drift'] {
  if (rig === '' || product === '') return null;
  const { state, mean } = driftOf(weighedRuns(done, rig, product));
  return state === 'heavy' || state === 'light' ? { side: state, percent: Math.round(mean * 100) } : null;
}

/** Everything that calibrations lean on, as it stands on the server now: for what must not miss any of it. */
export async function readBenchShelf(): Promise<BenchShelf> {
  const [rigs, calibrations, products] = await Promise.all([
    allDocs(RIGS),
    allCalibrations(),
    allDocs(PRODUCTS),
  ]);
  return { rigs, calibrations, products };
}

/** Everything that calibrations lean on, as far as it has come. */
export function useBenchShelf(): BenchShelf {
  const { data: rigs = NONE } = useRigs();
  const { data: calibrations = NONE } = useCalibrations();
  const { data: products = NONE } = useShelf();
  const winterFrom = useWinterFrom();
  const done = useApplications(null) ?? NONE;
  return useMemo(() => ({ rigs, calibrations, products, winterFrom, done }), [rigs, calibrations, products, winterFrom, done]); // prettier-ignore
}

/** What the calibrations of one machine lean on: the others of it, and the products of the shelf. */
export function useMachineShelf(rig: string): BenchShelf {
  const { data: rigs = NONE } = useRigs();
  const { data: calibrations = NONE } = useCalibrationsOf(rig);
  const { data: products = NONE } = useShelf();
  const winterFrom = useWinterFrom();
  const done = useApplications(null) ?? NONE;
  return useMemo(() => ({ rigs, calibrations, products, winterFrom, done }), [rigs, calibrations, products, winterFrom, done]); // prettier-ignore
}

/**
 * Reads a calibration with its machine, with the chart whose shape it borrows, and with what the machine's other calibrations tell
 * of its scatter.
 *
 * @param id of the calibration; null for a new one, or where it is one of the shelf's
 */
export function calibrationContext(
  input: CalibrationInput,
  { rigs, calibrations, products, winterFrom = null, done = NONE }: BenchShelf,
  id: string | null = null,
): CalibrationContext {
  const rig = rigs.find((each) => each.id === input.rig)?.input ?? null;
  const bench = rig ? benchRig(rig, input.target.unit) : NO_RIG;
  const other =
    input.shape === '' ? null : (calibrations.find((each) => each.id === input.shape)?.input ?? null);
  const shape = other ? chartShape(evaluateCalibration(other, bench), dimensionOf(input.target.unit)) : null;
  const product = products.find((each) => each.id === input.productId)?.input ?? null;
  const record = machineRecord(calibrations, { id, input }, bench, today());
  return {
    rig,
    bench,
    product,
    reading: withFieldRuns(evaluateCalibration(input, bench, shape, record), id === null ? NONE : fieldRunsOf(done, id), bench), // prettier-ignore
    winterFrom,
    drift: driftSide(done, input.rig, product?.name ?? ''),
    beforeUse: rig ? evaluateRig(rig).before.map(speak) : [],
    afterUse: rig ? evaluateRig(rig).after.map(speak) : [],
  };
}
