import { message, type Message } from '../messages/message.ts';
import { readPercent } from '../fields/counts.ts';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readPositive } from '../quantities/quantity.ts';
import { noteDay, readName } from '../fields/heading.ts';
import { depositOfPasses, overlay, type Overlay } from './overlap.ts';
import { leftShare, patternOf, throwOf, underPattern, type Pattern } from './pattern.ts';
import { evaluateTrays, type TraysResult } from './evaluateTrays.ts';
import { sweep, type Sweep } from './sweep.ts';
import type { WidthTestInput } from './widthInput.ts';

export interface WidthResult {
  readonly trays: TraysResult;
  /** One pass across; null while there are no trays. */
  readonly pattern: Pattern | null;
  /** All the width that is hit, m: by the trays, else by tape. */
  readonly throwM: number | null;
  readonly limit: number;
  /** Product on a metre of path by the trays, kg/m; null where they were not weighed. */
  readonly caughtKgPerM: number | null;
  readonly leftShare: number | null;
  readonly sweeps: { readonly 'one-way': Sweep; readonly 'back-and-forth': Sweep } | null;
  /** What this test recommends, m: the widest even spacing, or what the habit makes of the throw. */
  readonly recommendedM: number | null;
  /** The spacing that is looked at, m. */
  readonly lookedM: number | null;
  readonly errors: readonly InputError[];
}

/** Most CV that can be borne, percent: beyond that nothing is even. */
const MAX_CV = 60;

const SWEEPS = new WeakMap<TraysResult, { limit: number; sweeps: WidthResult['sweeps'] }>();

/** The sweeps of a reading of trays, worked out once for a limit. */
function sweepsOf(trays: TraysResult, pattern: Pattern, limit: number): WidthResult['sweeps'] {
  const known = SWEEPS.get(trays);
  if (known?.limit === limit) return known.sweeps;
  const of = (passPattern: 'one-way' | 'back-and-forth') =>
    sweep(pattern, trays.spacingM ?? 0.5, passPattern, limit);
  const sweeps = { 'one-way': of('one-way'), 'back-and-forth': of('back-and-forth') };
  SWEEPS.set(trays, { limit, sweeps });
  return sweeps;
}

/**
 * Reads a width test: the pattern of its trays, how even passes are, and the spacing that it recommends.
 *
 * @param trays its trays as read; they are read here when nothing is given
 * @example evaluateWidthTest(trays).recommendedM // 5.175
 */
export function evaluateWidthTest(
  input: WidthTestInput,
  trays: TraysResult = evaluateTrays(input),
): WidthResult {
  const { errors, tryRead, readIfPresent } = collect();
  tryRead(() => readName(input.name, 'name', message('errors.example.widthTest')));
  noteDay(tryRead, input.onDay, 'onDay');
  const length = (text: string, unit: WidthTestInput['throw']['unit'], field: string, what: Message) =>
    readIfPresent(text, () => readPositive(text, { kind: 'length', bareUnit: unit, field }, what).si);
  const limit =
    readIfPresent(input.limit, () =>
      readPercent(input.limit, { field: 'limit', hint: '15', most: MAX_CV, isPositive: true }),
    ) ?? 0.15;
  const byTape = length(input.throw.text, input.throw.unit, 'throw.text', message('errors.what.throw'));
  const usesTrays = input.spacingMethod === 'trays';
  const pattern = usesTrays && trays.trays.length > 0 ? patternOf(trays.trays.map(({ xM }) => xM), trays.trays.map(({ deposit }) => deposit)) : null; // prettier-ignore
  const isFar = trays.errors.some(({ code }) => code === 'trays.far');
  const sweeps = pattern && !input.deflector && !isFar ? sweepsOf(trays, pattern, limit) : null;
  const throwM = pattern ? throwOf(pattern) : byTape;
  const byHabit = byTape === null ? null : input.spacingMethod === 'half' ? byTape / 2 : byTape;
  const recommendedM = usesTrays ? (sweeps?.[input.passPattern].widestM ?? null) : byHabit;
  if (input.accepted) {
    noteDay(tryRead, input.accepted.onDay, 'accepted.onDay');
    length(input.accepted.text, input.accepted.unit, 'accepted.text', message('errors.what.acceptedSpacing'));
  }
  const looked = length(
    input.looked.text,
    input.looked.unit,
    'looked.text',
    message('errors.what.passSpacing'),
  );
  return {
    trays,
    pattern,
    throwM,
    limit,
    caughtKgPerM: pattern && input.kind === 'mass' ? underPattern(pattern) : null,
    leftShare: pattern && leftShare(pattern),
    sweeps,
    recommendedM,
    lookedM: looked ?? recommendedM ?? (throwM === null ? null : throwM / 2),
    errors: [...errors, ...(usesTrays ? trays.errors : [])],
  };
}

/** What the ground gets at a spacing, and where it is most and least. */
export interface OnGround {
  readonly overlay: Overlay;
  /** Deposits over the mean: the most, the least, and in the middle of a pass. */
  readonly most: number;
  readonly least: number;
  readonly middle: number;
}

/**
 * Passes of a pattern at a spacing.
 *
 * @example groundAt(pattern, 5, 'back-and-forth').overlay.cv // 0.0783
 */
export function groundAt(
  pattern: Pattern,
  spacingM: number,
  passPattern: WidthTestInput['passPattern'],
): OnGround {
  const over = overlay(pattern, spacingM, passPattern);
  const share = (value: number) => (over.mean > 0 ? value / over.mean : 0);
  return {
    overlay: over,
    most: share(Math.max(...over.y)),
    least: share(Math.min(...over.y)),
    middle: share(depositOfPasses(over, 0)),
  };
}
