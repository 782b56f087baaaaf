/** What a kind of machine is like: what meters its product, and what its rate is spread over. */
interface RigKindFacts {
  readonly words: string;
  /** Gravity or a motor: slower walking puts down more; wheels: it hardly matters. */
  readonly metering: 'flow' | 'wheels';
  /** A drop spreader's width is its hopper; a rotary's the pass spacing; a row distributor's the row. */
  readonly width: 'hopper' | 'pass spacing' | 'row spacing';
  /** Comfortable pace, m/s. */
  readonly pace: readonly [number, number];
  /** Looked at before use and after it. */
  readonly before: readonly string[];
  readonly after: readonly string[];
}

const ON_FOOT: readonly [number, number] = [1.1, 1.7];
const DRIVEN: readonly [number, number] = [1.5, 6];
const DRY_BEFORE = [
  'hopper clean and dry',
  'gate shut before filling',
  'agitator turns freely',
  'marks readable',
];
const DRY_AFTER = ['swept out and washed', 'dry before it is put away', 'gate left open'];

/** Kinds of machine that spread dry product. */
export const RIG_KINDS = {
  'push-drop': { words: 'push drop spreader', metering: 'wheels', width: 'hopper', pace: ON_FOOT, before: [...DRY_BEFORE, 'tyres alike'], after: DRY_AFTER },
  'push-rotary': { words: 'push rotary spreader', metering: 'flow', width: 'pass spacing', pace: ON_FOOT, before: [...DRY_BEFORE, 'impeller clean and not worn'], after: DRY_AFTER },
  'stand-on': { words: 'stand-on rotary spreader', metering: 'flow', width: 'pass spacing', pace: DRIVEN, before: [...DRY_BEFORE, 'impeller speed as marked'], after: DRY_AFTER },
  'hand-rotary': { words: 'hand rotary spreader', metering: 'flow', width: 'pass spacing', pace: ON_FOOT, before: ['bag dry', 'gate shut before filling', 'crank turns freely'], after: ['emptied and brushed out', 'dry before it is put away'] },
  'row-distributor': { words: 'row distributor', metering: 'flow', width: 'row spacing', pace: ON_FOOT, before: [...DRY_BEFORE, 'outlets clear and alike'], after: DRY_AFTER },
  'gravity-knapsack': { words: 'gravity knapsack with a sliding gate', metering: 'flow', width: 'row spacing', pace: ON_FOOT, before: ['tank dry', 'gate shut before filling', 'straps sound'], after: ['emptied and brushed out', 'dry before it is put away'] },
  vehicle: { words: 'vehicle-mounted or tailgate spreader', metering: 'flow', width: 'pass spacing', pace: DRIVEN, before: [...DRY_BEFORE, 'spinner clear', 'drives locked out before hands go near'], after: ['emptied and rinsed', 'chain and bearings greased'] },
} as const satisfies Record<string, RigKindFacts>; // prettier-ignore

export type RigKind = keyof typeof RIG_KINDS;
export const RIG_KIND_IDS = Object.keys(RIG_KINDS) as RigKind[];

/** A kind of the table, whatever it is. */
export const rigKind = (kind: RigKind): RigKindFacts => RIG_KINDS[kind];
