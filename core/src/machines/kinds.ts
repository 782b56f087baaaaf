/** What a kind of machine is like: what meters its product, and what its rate is spread over. */
interface RigKindFacts {
  readonly words: string;
  /** What it puts down: dry product, a liquid, or both in one pass. */
  readonly puts: 'dry' | 'wet' | 'both';
  /** Gravity or a motor: slower walking puts down more; wheels: it hardly matters. */
  readonly metering: 'flow' | 'wheels';
  /** A drop spreader's width is its hopper; a rotary's the pass spacing; a row distributor's the row. */
  readonly width: 'hopper' | 'pass spacing' | 'row spacing';
  /** Product runs while the machine stands, perhaps without the stirring that the wheels do. */
  readonly runsStanding: 'yes' | 'unstirred' | 'no';
  /** What it treats besides ground: rates per length of these are asked of it. */
  readonly treats: readonly ('rows' | 'lanes')[];
  /** Comfortable pace, m/s. */
  readonly pace: readonly [number, number];
  /** Looked at before use and after it. */
  readonly before: readonly string[];
  readonly after: readonly string[];
}

const ON_FOOT: readonly [number, number] = [1.1, 1.7];
const DRIVEN: readonly [number, number] = [1.5, 6];

/** One of the things looked at: when it is found wrong, own marks are the way out. */
export const MARKS_READABLE = 'marks readable';

const DRY_BEFORE = [
  'hopper clean and dry',
  'gate shut before filling',
  'agitator turns freely',
  'moving parts greased',
  MARKS_READABLE,
];
const DRY_AFTER = ['swept out and washed', 'dry before it is put away', 'gate left open'];
const WET_BEFORE = [
  'tank and filter clean',
  'screens and check balls in place',
  'gaskets whole, nothing drips',
  'nozzles alike and clear',
];
const WET_AFTER = ['rinsed with clean water', 'nozzles cleaned with a soft brush', 'drained before frost'];

/** Kinds of machine. */
export const RIG_KINDS = {
  'push-drop': { words: 'push drop spreader', puts: 'dry', metering: 'wheels', width: 'hopper', treats: [], runsStanding: 'no', pace: ON_FOOT, before: [...DRY_BEFORE, 'tyres alike'], after: DRY_AFTER },
  'push-rotary': { words: 'push rotary spreader', puts: 'dry', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'unstirred', pace: ON_FOOT, before: [...DRY_BEFORE, 'impeller clean and not worn'], after: DRY_AFTER },
  'stand-on': { words: 'stand-on rotary spreader', puts: 'dry', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'yes', pace: DRIVEN, before: [...DRY_BEFORE, 'impeller speed as marked'], after: DRY_AFTER },
  'hand-rotary': { words: 'hand rotary spreader', puts: 'dry', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'unstirred', pace: ON_FOOT, before: ['bag dry', 'gate shut before filling', 'crank turns freely', MARKS_READABLE], after: ['emptied and brushed out', 'dry before it is put away'] },
  'row-distributor': { words: 'row distributor', puts: 'dry', metering: 'flow', width: 'row spacing', treats: ['rows'], runsStanding: 'yes', pace: [0.7, 3], before: [...DRY_BEFORE, 'outlets clear and alike'], after: DRY_AFTER },
  'gravity-knapsack': { words: 'gravity knapsack with a sliding gate', puts: 'dry', metering: 'flow', width: 'row spacing', treats: ['rows'], runsStanding: 'yes', pace: [0.7, 1.4], before: ['tank dry', 'gate shut before filling', 'straps sound', MARKS_READABLE], after: ['emptied and brushed out', 'dry before it is put away'] },
  vehicle: { words: 'vehicle-mounted or tailgate spreader', puts: 'dry', metering: 'flow', width: 'pass spacing', treats: ['lanes'], runsStanding: 'yes', pace: DRIVEN, before: [...DRY_BEFORE, 'spinner clear', 'drives locked out before hands go near'], after: ['emptied and rinsed', 'chain and bearings greased'] },
  'spread-and-spray': { words: 'combined spreader and sprayer', puts: 'both', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'yes', pace: DRIVEN, before: [...DRY_BEFORE, ...WET_BEFORE], after: [...DRY_AFTER, ...WET_AFTER] },
  boom: { words: 'boom sprayer', puts: 'wet', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'yes', pace: DRIVEN, before: [...WET_BEFORE, 'boom level and at its height'], after: WET_AFTER },
  'hand-gun': { words: 'hand gun with a hose', puts: 'wet', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'yes', pace: ON_FOOT, before: [...WET_BEFORE, 'hose sound from end to end'], after: WET_AFTER },
  'hose-end': { words: 'hose-end bottle', puts: 'wet', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'yes', pace: ON_FOOT, before: ['bottle clean', 'siphon clear', 'no way back into the tap'], after: ['bottle rinsed'] },
  'knapsack-sprayer': { words: 'knapsack sprayer', puts: 'wet', metering: 'flow', width: 'pass spacing', treats: [], runsStanding: 'yes', pace: [0.7, 1.4], before: [...WET_BEFORE, 'straps sound'], after: WET_AFTER },
} as const satisfies Record<string, RigKindFacts>; // prettier-ignore

export type RigKind = keyof typeof RIG_KINDS;
export const RIG_KIND_IDS = Object.keys(RIG_KINDS) as RigKind[];

/**
 * A kind of the table, whatever it is.
 *
 * @example rigKind('push-drop').metering // 'wheels'
 */
export const rigKind = (kind: RigKind): RigKindFacts => RIG_KINDS[kind];
