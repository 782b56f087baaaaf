/** What a kind of machine is like: what meters its product, and what its rate is spread over. */
interface RigKindFacts {
  /** What it puts down: dry product, a liquid, or both in one pass. */
  readonly puts: 'dry' | 'wet' | 'both';
  /** Gravity or a motor: slower walking puts down more; wheels: it hardly matters. */
  readonly metering: 'flow' | 'wheels';
  /** A drop spreader's width is its hopper; a rotary's the pass spacing; a row distributor's the row. */
  readonly width: 'hopper' | 'passes' | 'rows';
  /** Product runs while the machine stands, perhaps without the stirring that the wheels do. */
  readonly runsStanding: 'yes' | 'unstirred' | 'no';
  /** What it treats besides ground: rates per length of these are asked of it. */
  readonly treats: readonly ('rows' | 'lanes')[];
  /** Comfortable pace, m/s. */
  readonly pace: readonly [number, number];
  /** What it sprays out of: a row of nozzles, one, or it does not spray. */
  readonly nozzles: 'row' | 'one' | 'none';
  /** Looked at before use and after it, by name. */
  readonly before: readonly string[];
  readonly after: readonly string[];
}

const ON_FOOT: readonly [number, number] = [1.1, 1.7];
const DRIVEN: readonly [number, number] = [1.5, 6];
const SPRAYED: readonly [number, number] = [1, 4];

/** One of the things looked at: when it is found wrong, own marks are the way out. */
export const MARKS_READABLE = 'marks';

const DRY_BEFORE = ['hopper', 'gateShut', 'agitator', 'greased', MARKS_READABLE];
const DRY_AFTER = ['washed', 'dried', 'gateOpen'];
const WET_BEFORE = ['tank', 'mainFilter', 'screens', 'gaskets', 'nozzles', 'primed'];
const WET_AFTER = ['rinsed', 'nozzlesCleaned', 'screensCleaned', 'drained'];

/** Kinds of machine. */
export const RIG_KINDS = {
  'push-drop': { puts: 'dry', metering: 'wheels', width: 'hopper', treats: [], runsStanding: 'no', nozzles: 'none', pace: ON_FOOT, before: [...DRY_BEFORE, 'tires'], after: DRY_AFTER },
  'push-rotary': { puts: 'dry', metering: 'flow', width: 'passes', treats: [], runsStanding: 'unstirred', nozzles: 'none', pace: ON_FOOT, before: [...DRY_BEFORE, 'impeller'], after: DRY_AFTER },
  'stand-on': { puts: 'dry', metering: 'flow', width: 'passes', treats: [], runsStanding: 'yes', nozzles: 'none', pace: DRIVEN, before: [...DRY_BEFORE, 'impellerSpeed'], after: DRY_AFTER },
  'hand-rotary': { puts: 'dry', metering: 'flow', width: 'passes', treats: [], runsStanding: 'unstirred', nozzles: 'none', pace: ON_FOOT, before: ['bag', 'gateShut', 'crank', MARKS_READABLE], after: ['brushed', 'dried'] },
  'row-distributor': { puts: 'dry', metering: 'flow', width: 'rows', treats: ['rows'], runsStanding: 'yes', nozzles: 'none', pace: [0.7, 3], before: [...DRY_BEFORE, 'outlets'], after: DRY_AFTER },
  'gravity-knapsack': { puts: 'dry', metering: 'flow', width: 'rows', treats: ['rows'], runsStanding: 'yes', nozzles: 'none', pace: [0.7, 1.4], before: ['tankDry', 'gateShut', 'straps', MARKS_READABLE], after: ['brushed', 'dried'] },
  vehicle: { puts: 'dry', metering: 'flow', width: 'passes', treats: ['lanes'], runsStanding: 'yes', nozzles: 'none', pace: DRIVEN, before: [...DRY_BEFORE, 'spinner', 'drives'], after: ['emptied', 'chain'] },
  'spread-and-spray': { puts: 'both', metering: 'flow', width: 'passes', treats: [], runsStanding: 'yes', nozzles: 'row', pace: SPRAYED, before: [...DRY_BEFORE, ...WET_BEFORE], after: [...DRY_AFTER, ...WET_AFTER] },
  boom: { puts: 'wet', metering: 'flow', width: 'passes', treats: [], runsStanding: 'yes', nozzles: 'row', pace: SPRAYED, before: [...WET_BEFORE, 'boom'], after: WET_AFTER },
  'hand-gun': { puts: 'wet', metering: 'flow', width: 'passes', treats: [], runsStanding: 'yes', nozzles: 'one', pace: ON_FOOT, before: [...WET_BEFORE, 'hose'], after: WET_AFTER },
  'hose-end': { puts: 'wet', metering: 'flow', width: 'passes', treats: [], runsStanding: 'yes', nozzles: 'one', pace: ON_FOOT, before: ['bottle', 'siphon', 'backflow'], after: ['bottleRinsed'] },
  'knapsack-sprayer': { puts: 'wet', metering: 'flow', width: 'passes', treats: [], runsStanding: 'yes', nozzles: 'one', pace: [0.7, 1.4], before: [...WET_BEFORE, 'straps'], after: WET_AFTER },
} as const satisfies Record<string, RigKindFacts>; // prettier-ignore

export type RigKind = keyof typeof RIG_KINDS;
export const RIG_KIND_IDS = Object.keys(RIG_KINDS) as RigKind[];

/**
 * A kind of the table, whatever it is.
 *
 * @example rigKind('push-drop').metering // 'wheels'
 */
export const rigKind = (kind: RigKind): RigKindFacts => RIG_KINDS[kind];

/**
 * As much comes out each second whatever the pace, so that whoever is slow puts down more. Taken of a machine that nobody named.
 *
 * @example isByTime('push-drop') // false
 */
export const isByTime = (kind: RigKind | null): boolean => kind === null || rigKind(kind).metering === 'flow';

/**
 * It throws beyond its own width, most in the middle; below a hopper or a boom all the width gets the same. Taken of a machine that nobody
 * named.
 *
 * @example isThrown('push-drop') // false
 */
export const isThrown = (kind: RigKind | null): boolean =>
  kind === null || (rigKind(kind).width === 'passes' && rigKind(kind).nozzles === 'none');

/**
 * Whether a machine hangs on somebody's back; nothing chosen hangs on none.
 *
 * @example isCarried('knapsack-sprayer') // true
 */
export const isCarried = (kind: RigKind | null): boolean =>
  kind !== null && rigKind(kind).before.some((check) => check === 'straps');
