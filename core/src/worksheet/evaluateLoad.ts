import { collect, type Collected } from '../errors/collect.ts';
import { InputError, toResult } from '../errors/InputError.ts';
import { noteDay } from '../fields/heading.ts';
import { readPercent } from '../fields/counts.ts';
import { message } from '../messages/message.ts';
import { readNumber } from '../quantities/numbers.ts';
import { readPositive, readQuantity } from '../quantities/quantity.ts';
import { systemOf, UNITS } from '../quantities/units.ts';
import type { LoadInput } from './loadInput.ts';

/** What is usual where nothing is typed: share of a trim, seconds for a turn, minutes for a refill, m2 of a block. */
export const USUAL = { trimShare: 0.9, turnS: 5, refillS: 240, blockM2: { us: 92.90304, metric: 100 }, wanderM: 0.1524, paceSd: 0.05 } as const; // prettier-ignore

const MAX_TRIMS = 5;

/** A load as read, SI; null: nothing was typed, and what is usual depends on the machine. */
export interface LoadResult {
  readonly trims: number | null;
  readonly trimShare: number;
  /** kg or L. */
  readonly reserveSi: number;
  readonly turnS: number;
  readonly refillS: number;
  readonly blockM2: number;
  readonly waterM: number | null;
  readonly walk: { readonly lateM: number; readonly earlyM: number; readonly wanderM: number; readonly paceSd: number };
  readonly areas: ReadonlyMap<string, { readonly headingDeg: number | null; readonly lengthM: number | null }>;
  readonly errors: readonly InputError[];
} // prettier-ignore

function readTrims(input: string): number {
  const { value } = toResult(() => readNumber(input, 'trims'));
  if (value !== null && Number.isInteger(value) && value >= 0 && value <= MAX_TRIMS) return value;
  throw new InputError('passes.trims', { field: 'trims', most: MAX_TRIMS });
}

function readHeading(input: string, field: string): number {
  const { value } = toResult(() => readNumber(input.replace(/°\s*$/, ''), field));
  if (value !== null && Math.abs(value) <= 360) return value;
  throw new InputError('passes.heading', { field, input });
}

/** How people walk: what is typed may be 0, the gate may open or shut early or late. */
function readWalk({ late, early, wander, unit, pace }: LoadInput['walk'], { readIfPresent }: Collected): LoadResult['walk'] {
  const metres = (input: string, name: string) => readIfPresent(input, () => readQuantity(input, { kind: 'length', bareUnit: unit, field: `walk.${name}` }).si);
  const wanderM = metres(wander, 'wander');
  const paceSd = readIfPresent(pace, () => readPercent(pace, { field: 'walk.pace', hint: '5', most: 50 }));
  return { lateM: metres(late, 'late') ?? 0, earlyM: metres(early, 'early') ?? 0, wanderM: Math.abs(wanderM ?? USUAL.wanderM), paceSd: paceSd ?? USUAL.paceSd };
} // prettier-ignore

/**
 * Reads how a sheet is loaded and walked.
 *
 * @example evaluateLoad(blankLoad('us')).trimShare // 0.9
 */
export function evaluateLoad(input: LoadInput): LoadResult {
  const noted = collect();
  const { errors, tryRead, readIfPresent } = noted;
  const { block, water } = input;
  const isVolume = UNITS[input.reserveUnit].kind === 'volume';
  const seconds = (text: string, field: string, bareUnit: 's' | 'min') => readIfPresent(text, () => readPositive(text, { kind: 'time', bareUnit, field }, message('errors.what.time')).si); // prettier-ignore
  const reserve = readIfPresent(input.reserve, () => readQuantity(input.reserve, { kind: isVolume ? 'volume' : 'mass', bareUnit: input.reserveUnit, field: 'reserve' }).si); // prettier-ignore
  const areas = input.areas.map(({ id, heading, length }, index): [string, { headingDeg: number | null; lengthM: number | null }] => [
    id,
    {
      headingDeg: readIfPresent(heading, () => readHeading(heading, `areas.${index}.heading`)),
      lengthM: readIfPresent(length.text, () => readPositive(length.text, { kind: 'length', bareUnit: length.unit, field: `areas.${index}.length.text` }, message('errors.what.side')).si),
    },
  ]); // prettier-ignore
  if (input.ready) noteDay(tryRead, input.ready.onDay, 'ready.onDay');
  return {
    trims: readIfPresent(input.trims, () => readTrims(input.trims)),
    trimShare: readIfPresent(input.trimShare, () => readPercent(input.trimShare, { field: 'trimShare', hint: '90', most: 120, isPositive: true })) ?? USUAL.trimShare, // prettier-ignore
    reserveSi: Math.max(0, reserve ?? 0),
    turnS: seconds(input.turn, 'turn', 's') ?? USUAL.turnS,
    refillS: seconds(input.refill, 'refill', 'min') ?? USUAL.refillS,
    blockM2: readIfPresent(block.size, () => readPositive(block.size, { kind: 'area', bareUnit: block.unit, field: 'block.size' }, message('errors.what.size')).si) ?? USUAL.blockM2[systemOf(block.unit)], // prettier-ignore
    waterM: readIfPresent(water.depth, () => readPositive(water.depth, { kind: 'length', bareUnit: water.unit, field: 'water.depth' }, message('errors.what.water')).si), // prettier-ignore
    walk: readWalk(input.walk, noted),
    areas: new Map(areas),
    errors,
  };
}
