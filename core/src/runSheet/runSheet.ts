import { rigKind } from '../machines/kinds.ts';
import { USUAL_PACE } from '../testing/calibration.ts';
import type { JobInput, JobResult, LoadResult } from '../worksheet/index.ts';
import { areaRun, type AreaRun, type RunRates, type SheetArea } from './areaRun.ts';
import type { MachineFacts, RunFacts } from './facts.ts';
import { obstaclesOf, readinessOf, sheetMark, type Obstacle, type Readiness } from './obstacles.ts';

/** The sheet of a day: what a crew carries out. */
export interface RunSheet {
  readonly areas: readonly AreaRun[];
  /** As passed, m; null: not known. */
  readonly spacingM: number | null;
  readonly paceMPerS: number;
  /** Nobody timed a pace: that of a brisk walk is taken. */
  readonly isPaceAssumed: boolean;
  /** What the hopper or the tank gives in one fill; null: not known. */
  readonly usableSi: number | null;
  /** What goes into it is finished mix. */
  readonly isMix: boolean;
  readonly trims: number;
  readonly totals: {
    readonly amountSi: number;
    readonly spareSi: number;
    readonly fills: number;
    readonly walkedM: number;
    readonly seconds: number;
    /** Of the product that is used; null: no price. */
    readonly costCents: number | null;
    readonly waterL: number | null;
  };
  readonly obstacles: readonly Obstacle[];
  readonly readiness: Readiness;
  readonly mark: string;
}

const paceOf = (machine: MachineFacts | null): number | null =>
  machine?.reading.chartPaceMPerS ?? machine?.reading.paceMPerS ?? null;

/** What a fill gives: what is held, less what is kept back; a hopper that is all reserve gives nothing. */
function usableOf(machine: MachineFacts | null, { reserveSi }: LoadResult): number | null {
  const usable = machine?.holdsSi == null ? null : machine.holdsSi - reserveSi;
  return usable !== null && usable > 0 ? usable : null;
}

function sheetAreas({ answer }: JobResult): SheetArea[] {
  return answer.reading.areas.flatMap(({ id, name, size }) => {
    if (!size) return [];
    const { shape } = size;
    return [{ id, name, areaM2: size.areaM2, sides: shape.kind === 'rectangle' ? [shape.lengthM, shape.widthM] : null }]; // prettier-ignore
  });
}

/** What one time over the ground is, in product and in what the machine lets out; null while something is missing. */
function ratesFor({ worksheet }: JobInput, { answer, load }: JobResult, facts: RunFacts, spacingM: number | null): RunRates | null {
  const { once } = answer.numbers;
  const { machine, mixLPerM2 } = facts;
  if (once.rateSi === null || spacingM === null) return null;
  return {
    productPerM2: once.rateSi,
    loadPerM2: mixLPerM2 ?? once.rateSi,
    directions: once.directions,
    trimShare: load.trimShare,
    spacingM,
    recomputed: worksheet.spread.recomputed,
    usableSi: usableOf(machine, load),
    paceMPerS: paceOf(machine) ?? USUAL_PACE,
    machine,
  };
} // prettier-ignore

function totalsOf(areas: readonly AreaRun[], { answer, load }: JobResult): RunSheet['totals'] {
  const sum = (of: (area: AreaRun) => number) => areas.reduce((total, area) => total + of(area), 0);
  const { package: pack, priceCents } = answer.reading.product;
  const amountSi = sum((area) => area.amountSi);
  return {
    amountSi,
    spareSi: sum(({ spareSi }) => spareSi),
    fills: sum(({ fills }) => fills.length),
    walkedM: sum(({ time }) => time?.walkedM ?? 0),
    seconds: sum(({ time }) => time?.seconds ?? 0),
    costCents: pack && priceCents !== null ? Math.round((amountSi / pack.si) * priceCents) : null,
    // A millimetre on a square metre is a litre.
    waterL: load.waterM === null ? null : load.waterM * 1000 * sum(({ areaM2 }) => areaM2),
  };
}

/**
 * The run sheet of a job: each area with its passes, zones, fills, time and blocks, and everything that stands against carrying it out.
 *
 * @param result of the same job
 * @example runSheet(job, evaluateJob(job), runFacts).areas[0]?.plan.passes // 9
 */
export function runSheet(job: JobInput, result: JobResult, facts: RunFacts): RunSheet {
  const { answer, load } = result;
  const { machine } = facts;
  const spacingM = answer.reading.passedM ?? machine?.reading.widthM ?? null;
  const rates = ratesFor(job, result, facts, spacingM);
  const tried = rates === null ? [] : sheetAreas(result).map((area) => Object.assign({ area }, areaRun({ area, facts: facts.grounds.get(area.id), input: job.load, load, rates })));
  const areas = tried.flatMap(({ value }) => value ?? []);
  const failed = tried.flatMap(({ area, error }) => (error ? [{ id: area.id, name: area.name, error }] : []));
  const obstacles = obstaclesOf({ job, answer, facts, spacingM, areas, failed: [...failed, ...(load.errors.length > 0 ? [{ id: 'load', name: '', error: load.errors[0]! }] : [])] });
  const mark = sheetMark(answer, job.worksheet.spread.calibration);
  return {
    areas,
    spacingM,
    paceMPerS: rates?.paceMPerS ?? USUAL_PACE,
    isPaceAssumed: paceOf(machine) === null,
    usableSi: rates?.usableSi ?? null,
    isMix: facts.mixLPerM2 !== null,
    trims: load.trims ?? (machine && rigKind(machine.kind).width === 'rows' ? 0 : 1),
    totals: totalsOf(areas, result),
    obstacles,
    readiness: readinessOf(obstacles, job.load.ready, mark),
    mark,
  };
} // prettier-ignore
