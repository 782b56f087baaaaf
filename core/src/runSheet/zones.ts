import { toResult } from '../errors/InputError.ts';
import { groundArea } from '../ground/index.ts';
import type { Leg, PassPlan } from '../passes/index.ts';
import { spreadPlan } from '../testing/lookup.ts';
import type { MachineFacts } from './facts.ts';

/** What is set for a zone. */
export interface ZoneSetting {
  readonly mark: string;
  /** The chart does not reach there. */
  readonly beyond: 'below' | 'above' | null;
}

/** A part of an area that is set and loaded for by itself: round its edges, or one direction over the field. */
export interface Zone {
  readonly zone: Leg['zone'];
  readonly areaM2: number;
  readonly lengthM: number;
  /** Product, kg or L. */
  readonly amountSi: number;
  /** What goes into the hopper or the tank for it, kg, or L of mix; and on each metre of it. */
  readonly loadSi: number;
  readonly loadPerM: number;
  /** Null: no chart. */
  readonly setting: ZoneSetting | null;
}

/** One time over the ground, in one direction. */
export interface Rates {
  /** Product, kg/m2 or L/m2; and what the hopper or the tank gives, kg/m2 or L/m2 of mix. */
  readonly productPerM2: number;
  readonly loadPerM2: number;
  readonly directions: 1 | 2;
  /** What a trim puts down, as a share of the rate, and how wide it treats, m. */
  readonly trimShare: number;
  readonly trimM: number;
  /** The spacing of the sheet, m, and whether the chart was worked out for it. */
  readonly spacingM: number;
  readonly recomputed: boolean;
  /** The sheet's size of the area over that of its drawing. */
  readonly scale: number;
}

/** The mark that lets out so much on each metre, by the chart. */
function settingFor(
  perM: number,
  { spacingM, recomputed }: Rates,
  machine: MachineFacts | null,
): ZoneSetting | null {
  if (!machine || !(perM > 0)) return null;
  const found = toResult(() => spreadPlan(machine.reading, perM / spacingM, spacingM, recomputed, machine.isCeiling)).value?.found; // prettier-ignore
  return found ? { mark: found.line.mark.label, beyond: found.beyond } : null;
}

const lengthOf = (legs: readonly Leg[], zone: Leg['zone']): number =>
  legs.reduce((sum, leg) => sum + (leg.zone === zone ? leg.lengthM : 0), 0);

/**
 * The zones of an area with what each takes. A trim gets its share of the rate; what it leaves stays in the package, since fields that
 * got it instead would be over their rate.
 */
export function zonesOf(plan: PassPlan, rates: Rates, machine: MachineFacts | null): Zone[] {
  const { productPerM2, loadPerM2, directions, trimShare, trimM, scale } = rates;
  const fieldM2 = plan.pieces.reduce((sum, { field }) => sum + groundArea(field), 0);
  const zone = (id: Leg['zone'], areaM2: number, share: number, widthM: number): Zone[] => {
    const lengthM = lengthOf(plan.legs, id);
    if (lengthM === 0) return [];
    const loadSi = areaM2 * scale * loadPerM2 * share;
    const setting = settingFor(widthM * productPerM2 * share, rates, machine);
    return [{ zone: id, areaM2, lengthM, amountSi: areaM2 * scale * productPerM2 * share, loadSi, loadPerM: loadSi / lengthM, setting }]; // prettier-ignore
  };
  return [
    // Round the edge one goes once, whatever the field gets in two directions.
    ...zone('trim', plan.trimM2, trimShare * directions, trimM),
    ...zone('first', fieldM2, 1, plan.spacingM),
    ...zone('second', fieldM2, 1, plan.spacingM),
  ];
}
