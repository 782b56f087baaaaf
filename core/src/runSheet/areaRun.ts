import { toResult, type InputError } from '../errors/InputError.ts';
import { isThrown, rigKind } from '../machines/kinds.ts';
import {
  fillsOnWalk,
  groundBlocks,
  placeTowards,
  planPasses,
  sketchOf,
  walkTime,
  windTowards,
  type Fill,
  type GroundBlock,
  type PassPlan,
  type TrimRequest,
  type WalkTime,
  type Wind,
} from '../passes/index.ts';
import { joined, type Point } from '../ground/index.ts';
import type { LoadAreaInput, LoadInput, LoadResult } from '../worksheet/index.ts';
import type { GroundFacts, MachineFacts } from './facts.ts';
import { zonesOf, type Rates, type Zone } from './zones.ts';

/** A fill with where it should run out, in terms that can be found on the ground. */
export interface PlacedFill extends Fill {
  /** Null: it lasts to the end. The wind is that of the end of the pass that is walked towards, on ground that lies as drawn. */
  readonly runsOut: {
    readonly zone: Zone['zone'];
    readonly number: number;
    readonly part: number;
    readonly parts: number;
    readonly leftM: number;
    readonly towards: Wind | null;
  } | null;
}

/** One block of a beginner's way, with its load. */
export interface LoadedBlock extends GroundBlock {
  readonly amountSi: number;
}

/** One area of a run sheet. */
export interface AreaRun {
  readonly id: string;
  readonly name: string;
  /** As it stands on the sheet, m2. */
  readonly areaM2: number;
  /** Nobody drew it: its drawing is a sketch of its size. */
  readonly isSketch: boolean;
  readonly isPlaced: boolean;
  readonly ground: GroundFacts;
  readonly plan: PassPlan;
  readonly refillAt: Point | null;
  readonly zones: readonly Zone[];
  /** All zones, and what the trims leave of the area's own amount, kg or L. */
  readonly amountSi: number;
  readonly spareSi: number;
  /** Passes put down so much more or less than the ground asks, as a share: they overlap at its edges, or do not reach. */
  readonly overlap: number;
  readonly fills: readonly PlacedFill[];
  readonly time: WalkTime | null;
  readonly blocks: readonly LoadedBlock[];
}

/** What is the same for all areas of a sheet. */
export interface RunRates extends Omit<Rates, 'scale' | 'trimM'> {
  readonly usableSi: number | null;
  readonly paceMPerS: number;
  readonly machine: MachineFacts | null;
}

/** With the deflector down one walks as close to the edge as wheels allow, m. */
const AT_EDGE_M = 0.25;

/**
 * How trims are walked: what is thrown goes to the inside alone, so a strip of half a spacing is treated from its edge; below a hopper or
 * a boom it is one whole width, walked in its middle.
 */
export function trimFor({ trims }: LoadResult, { edgeOn }: LoadInput, machine: MachineFacts | null, spacingM: number): TrimRequest {
  const width = machine ? rigKind(machine.kind).width : 'passes';
  const throws = isThrown(machine?.kind ?? null);
  const stripM = throws ? spacingM / 2 : spacingM;
  return { rounds: trims ?? (width === 'rows' ? 0 : 1), stripM, pathM: throws ? Math.min(AT_EDGE_M, stripM / 2) : stripM / 2, edgeOn };
} // prettier-ignore

/** An area as the sheet has it. */
export interface SheetArea {
  readonly id: string;
  readonly name: string;
  readonly areaM2: number;
  /** Its sides, where it was typed by them, m. */
  readonly sides: readonly [number, number] | null;
}

/** Parts that lie closer together were meant to touch, m. */
const GAP_M = 0.05;

/** Ground as it was drawn; else a rectangle of its sides, of its length, or a square. */
function groundFor(
  { areaM2, sides }: SheetArea,
  facts: GroundFacts | undefined,
  lengthM: number | null,
): GroundFacts {
  if (facts && facts.treated.length > 0) {
    const area = joined(facts.area, GAP_M);
    return { ...facts, area, treated: facts.treated === facts.area ? area : joined(facts.treated, GAP_M) };
  }
  const sketch = sketchOf(areaM2, lengthM ?? (sides ? Math.max(...sides) : null));
  return { treated: sketch, area: sketch, edges: [], isPlaced: false };
}

const placeOf = ({ treated }: GroundFacts, input: LoadAreaInput | undefined): Point | null =>
  !input || input.refillAt === '' ? null : placeTowards(treated, input.refillAt);

function fillsFor(plan: PassPlan, zones: readonly Zone[], usableSi: number | null, isPlaced: boolean): PlacedFill[] {
  if (usableSi === null) return [];
  const perM = new Map(zones.map(({ zone, loadPerM }) => [zone, loadPerM]));
  const runsOutOf = ({ end }: Fill): PlacedFill['runsOut'] => {
    if (!end) return null;
    const { zone, number, part, parts, line } = plan.legs[end.leg]!;
    const towards = isPlaced && zone !== 'trim' ? windTowards(line[0]!, line.at(-1)!) : null;
    return { zone, number, part, parts, leftM: end.leftM, towards };
  };
  const fills = fillsOnWalk(plan.legs, ({ zone }) => perM.get(zone) ?? 0, usableSi);
  return fills.map((fill) => Object.assign({ runsOut: runsOutOf(fill) }, fill));
} // prettier-ignore

interface Asked {
  readonly area: SheetArea;
  readonly facts: GroundFacts | undefined;
  readonly input: LoadInput;
  readonly load: LoadResult;
  readonly rates: RunRates;
}

function planFor({ area, input, load, rates }: Asked, ground: GroundFacts, refillAt: Point | null): PassPlan {
  const { spacingM, directions, machine } = rates;
  const heading = load.areas.get(area.id)?.headingDeg ?? input.headingAim;
  return planPasses({ ground: ground.treated, spacingM, trim: trimFor(load, input, machine, spacingM), heading, last: input.last, directions, refillAt }); // prettier-ignore
}

/** What is walked against what is treated: passes end square, ground does not. */
function overlapOf(plan: PassPlan, zones: readonly Zone[]): number {
  const field = zones.find(({ zone }) => zone === 'first');
  return field && field.areaM2 > 0 ? plan.walkedM2 / field.areaM2 - 1 : 0;
}

function run(asked: Asked): AreaRun {
  const { area, facts, load, input, rates } = asked;
  const { usableSi, paceMPerS, spacingM, productPerM2, directions } = rates;
  const ground = groundFor(area, facts, load.areas.get(area.id)?.lengthM ?? null);
  const refillAt = placeOf(ground, input.areas.find(({ id }) => id === area.id));
  const plan = planFor(asked, ground, refillAt);
  const scale = area.areaM2 / plan.areaM2;
  const zones = zonesOf(plan, { ...rates, scale, trimM: trimFor(load, input, rates.machine, spacingM).stripM }, rates.machine);
  const fills = fillsFor(plan, zones, usableSi, ground.isPlaced);
  const amountSi = zones.reduce((sum, zone) => sum + zone.amountSi, 0);
  const perM2 = productPerM2 * directions;
  const blocks = toResult(() => groundBlocks(plan.pieces, plan.headingDeg, load.blockM2, spacingM)).value ?? [];
  return {
    id: area.id,
    name: area.name,
    areaM2: area.areaM2,
    isSketch: !facts || facts.treated.length === 0,
    isPlaced: ground.isPlaced,
    ground,
    plan,
    refillAt,
    zones,
    amountSi,
    spareSi: area.areaM2 * perM2 - amountSi,
    overlap: overlapOf(plan, zones),
    fills,
    time: toResult(() => walkTime(plan.legs, fills, { paceMPerS, turnS: load.turnS, refillS: load.refillS, refillAt })).value,
    blocks: blocks.map((block) => Object.assign({}, block, { amountSi: block.areaM2 * scale * perM2 })),
  };
} // prettier-ignore

type Tried = { value: AreaRun | null; error: InputError | null };

/** The last run of each drawn ground, with what it was of: what is typed of another area, or of the water, changes nothing of it. */
const KNOWN = new WeakMap<GroundFacts, { of: string; machine: MachineFacts | null; tried: Tried }>();

function markOf({ area, input, load, rates }: Asked): string {
  const { machine, ...figures } = rates;
  const { trims, trimShare, turnS, refillS, blockM2 } = load;
  const { edgeOn, headingAim, last, areas } = input;
  const own = areas.find(({ id }) => id === area.id);
  return JSON.stringify([area, figures, trims, trimShare, turnS, refillS, blockM2, edgeOn, headingAim, last, own, machine?.kind]); // prettier-ignore
}

/** One area of a run sheet, or why it cannot be planned. */
export function areaRun(asked: Asked): Tried {
  const { facts, rates } = asked;
  const of = markOf(asked);
  const known = facts && KNOWN.get(facts);
  if (known?.of === of && known.machine === rates.machine) return known.tried;
  const tried = toResult(() => run(asked));
  if (facts) KNOWN.set(facts, { of, machine: rates.machine, tried });
  return tried;
}
