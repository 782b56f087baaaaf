import type { InputError } from '../errors/InputError.ts';
import { rigKind } from '../machines/kinds.ts';
import { message, type Message } from '../messages/message.ts';
import { mismatchOf } from '../width/mismatch.ts';
import type { JobInput, LoadInput, WorksheetAnswer } from '../worksheet/index.ts';
import type { AreaRun } from './areaRun.ts';
import type { RunFacts } from './facts.ts';

/** Something that stands against a sheet being ready. */
export interface Obstacle {
  /** The same for the same thing, so that what was overruled stays so. */
  readonly id: string;
  /** The lead may overrule it with a reason; without it there is nothing to carry out. */
  readonly mayOverride: boolean;
  readonly message: Message;
}

/** Passes that put down so much more than the ground asks overlap. */
const OVERLAP = 0.05;
/** Ground that nothing reaches, as a share. */
const UNREACHED = 0.01;

const facts = (id: string, why: Message): Obstacle => ({ id, mayOverride: false, message: why });
const against = (id: string, why: Message): Obstacle => ({ id, mayOverride: true, message: why });

function ofSheet({ numbers, errors }: WorksheetAnswer, spacingM: number | null): Obstacle[] {
  return [
    ...(errors.length > 0 ? [facts('unread', message('run.lacks.unread', { count: errors.length }))] : []),
    ...(numbers.once.rateSi === null ? [facts('need', message('run.lacks.need'))] : []),
    ...(numbers.totalM2 === null ? [facts('ground', message('run.lacks.ground'))] : []),
    ...(spacingM === null ? [facts('spacing', message('run.lacks.spacing'))] : []),
    ...(numbers.unsized > 0 ? [against('unsized', message('run.lacks.unsized', { count: numbers.unsized }))] : []),
  ];
} // prettier-ignore

function ofMachine({ machine, drift }: RunFacts, job: JobInput, spacingM: number | null): Obstacle[] {
  if (!machine) return [against('machine', message('run.lacks.machine'))];
  const { reading, age, isSigned, isForProduct, holdsSi, kind } = machine;
  const chartM = reading.widthM;
  const isOther = !job.worksheet.spread.recomputed && rigKind(kind).width === 'passes' && chartM !== null && spacingM !== null;
  const times = isOther ? (mismatchOf(chartM, spacingM)?.times ?? null) : null;
  return [
    ...(!isSigned ? [against('chart', message('run.lacks.chart'))] : []),
    ...(isSigned && age.state === 'stale' ? [against('stale', message('run.stale', { reasons: age.reasons }))] : []),
    ...(!isForProduct ? [against('product', message('run.otherProduct'))] : []),
    ...(drift ? [against('drift', message('run.drift', drift))] : []),
    ...(times !== null ? [against('other-spacing', message('run.otherSpacing', { times: times.toFixed(2) }))] : []),
    ...(holdsSi === null ? [against('hopper', message('run.lacks.hopper'))] : []),
  ];
} // prettier-ignore

/** A chart that does not reach a zone: of two directions it was often made for the full rate. */
function ofChart(areas: readonly AreaRun[], directions: 1 | 2): Obstacle[] {
  const beyond = areas.flatMap(({ zones }) => zones).find(({ zone, setting }) => zone !== 'trim' && setting?.beyond); // prettier-ignore
  const side = beyond?.setting?.beyond;
  if (!side) return [];
  const isHalf = directions === 2 && side === 'below';
  return [against('beyond', message(isHalf ? 'run.halfRate' : 'run.beyond', { side }))];
}

function ofArea({ id, name, plan, overlap }: AreaRun): Obstacle[] {
  const unreached = plan.unreachedM2 / plan.areaM2;
  return [
    ...(unreached > UNREACHED ? [against(`unreached:${id}`, message('run.unreached', { name, percent: Math.round(unreached * 100) }))] : []),
    ...(Math.abs(overlap) > OVERLAP ? [against(`overlap:${id}`, message('run.overlaps', { name, side: overlap > 0 ? 'more' : 'less', percent: Math.round(Math.abs(overlap) * 100) }))] : []),
  ];
} // prettier-ignore

/** Everything that stands against a sheet, what is missing first. */
export function obstaclesOf(of: {
  job: JobInput;
  answer: WorksheetAnswer;
  facts: RunFacts;
  spacingM: number | null;
  areas: readonly AreaRun[];
  failed: readonly { id: string; name: string; error: InputError }[];
}): Obstacle[] {
  return [
    ...ofSheet(of.answer, of.spacingM),
    ...of.failed.map(({ id, name, error }) => facts(`plan:${id}`, name === '' ? error.sentence : message('run.noPlan', { name, why: error.sentence }))),
    ...ofMachine(of.facts, of.job, of.spacingM),
    ...ofChart(of.areas, of.answer.numbers.once.directions),
    ...of.facts.broken.map(({ id, rule }) => against(`rule:${id}`, message('run.rule', { rule }))),
    ...of.areas.flatMap(ofArea),
  ];
} // prettier-ignore

/** How ready a sheet is; changed: it was, but something else stands there now. */
export type Readiness = 'open' | 'ready' | 'changed';

/**
 * What a sheet that was marked ready was: when it is another one now, somebody has to look again.
 *
 * @example sheetMark(answer, 'c1') // '0.0162748 687.482 - c1'
 */
export const sheetMark = ({ numbers, reading }: Pick<WorksheetAnswer, 'numbers' | 'reading'>, calibration: string): string =>
  [numbers.once.rateSi, numbers.totalM2, reading.passedM].map((value) => value?.toPrecision(6) ?? '-').join(' ') + ` ${calibration || '-'}`; // prettier-ignore

/**
 * What nobody gave a reason for yet.
 *
 * @example openObstacles([], null) // []
 */
export const openObstacles = (obstacles: readonly Obstacle[], ready: Pick<NonNullable<LoadInput['ready']>, 'overrides'> | null): Obstacle[] =>
  obstacles.filter(({ id, mayOverride }) => !mayOverride || !ready?.overrides.some((each) => each.id === id && each.reason.trim() !== '')); // prettier-ignore

/**
 * What was gone on over, each with its reason.
 *
 * @example overruled([], null) // []
 */
export const overruled = (obstacles: readonly Obstacle[], ready: LoadInput['ready']): { id: string; message: Message; reason: string }[] =>
  obstacles.flatMap(({ id, message: what }) => {
    const reason = ready?.overrides.find((each) => each.id === id)?.reason;
    return reason ? [{ id, message: what, reason }] : [];
  }); // prettier-ignore

/**
 * How ready it is, by what stands against it and what was said of that.
 *
 * @example readinessOf([], null, '') // 'open'
 */
export function readinessOf(
  obstacles: readonly Obstacle[],
  ready: LoadInput['ready'],
  mark: string,
): Readiness {
  if (!ready || ready.onDay === '') return 'open';
  return ready.of === mark && openObstacles(obstacles, ready).length === 0 ? 'ready' : 'changed';
}
