import {
  driftOf,
  evaluateApplication,
  isVoid,
  type DoneRow,
  type Drift,
  type RunRatio,
} from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { useApplications } from '../kinds/useApplications.ts';

const plain = (text: string): string => text.trim().toLowerCase();

/** Runs that were weighed, each over all its areas: what went out against what was meant. */
export function weighedRuns(rows: readonly DoneRow[], machine: string, product: string): RunRatio[] {
  const runs = new Map<string, { startedAt: string; amountSi: number; meantSi: number }>();
  for (const { input, startedAt } of rows) {
    const isOne =
      machine !== '' && input.machine.id === machine && plain(input.product.name) === plain(product);
    if (!isOne || isVoid(input) || input.amount.from === 'planned') continue;
    const { amountSi, areaM2, meantSi, ratio } = evaluateApplication(input);
    if (ratio === null || amountSi === null || areaM2 === null || meantSi === null) continue;
    const before = runs.get(input.runId) ?? { startedAt, amountSi: 0, meantSi: 0 };
    runs.set(input.runId, { startedAt: before.startedAt, amountSi: before.amountSi + amountSi, meantSi: before.meantSi + meantSi * areaM2 }); // prettier-ignore
  }
  return [...runs].map(([id, { startedAt, amountSi, meantSi }]) => ({
    id,
    startedAt,
    ratio: amountSi / meantSi,
  }));
}

/** How a machine drifts with a product, by all that was recorded; null while nothing has come. */
export function useDrift(machine: string, product: string): Drift | null {
  const rows = useApplications(null) ?? null;
  return useMemo(() => rows && driftOf(weighedRuns(rows, machine, product)), [rows, machine, product]);
}
