import * as z from 'zod';
import {
  areaUnit,
  lengthText,
  lengthUnit,
  packageUnit,
  partId,
  text,
  type InputOf,
} from '../fields/schema.ts';
import { HEADING_AIMS, LAST_PASS, WINDS } from '../passes/choices.ts';

/** How one area is walked, where that is not as for all. */
const loadAreaInput = z.object({
  /** Of the row on the sheet. */
  id: z.uuid(),
  /** Degrees clockwise from up; empty: the best one. */
  heading: text,
  /** Its longer side, where nobody drew it; empty: it is sketched as a square. */
  length: lengthText,
  /** Where the product stands; empty: not said. */
  refillAt: z.enum(['', ...WINDS]),
});
export type LoadAreaInput = InputOf<typeof loadAreaInput>;

/** Something that stood against a sheet and was overruled, with the reason. */
const override = z.object({ id: partId, reason: text });
export type OverrideInput = InputOf<typeof override>;

/** How the work of a sheet is walked, loaded and watered in; as typed. Empty texts stand for what is usual. */
export const loadInput = z.object({
  /** Trim passes round the edges; empty: one where product is thrown, none along rows. */
  trims: text,
  /** What a trim puts down, percent of the rate. */
  trimShare: text,
  /** Which side of the machine its deflector is on. */
  edgeOn: z.enum(['left', 'right']),
  headingAim: z.enum(HEADING_AIMS),
  last: z.enum(LAST_PASS),
  /** What stays in the hopper, since below it the product stops feeding evenly. */
  reserve: text,
  reserveUnit: packageUnit,
  /** Seconds for a turn, minutes for a refill. */
  turn: text,
  refill: text,
  block: z.object({ size: text, unit: areaUnit }),
  /** Water after it: how much, by when, and who turns it on. */
  water: z.object({ depth: text, unit: lengthUnit, by: text, who: text }),
  /** How people walk, for the simulation: gate late and early, off the line, pace in percent. */
  walk: z.object({ late: text, early: text, wander: text, unit: lengthUnit, pace: text }),
  areas: z.array(loadAreaInput).max(200),
  /** Who marked it ready, when, for which sheet, and over what; null: nobody did. */
  ready: z.object({ onDay: text, by: text, of: text, overrides: z.array(override).max(60) }).nullable(),
});
export type LoadInput = InputOf<typeof loadInput>;

/**
 * A load of which nothing was said.
 *
 * @example blankLoad('us').block // { size: '', unit: 'ft2' }
 */
export function blankLoad(system: 'us' | 'metric'): LoadInput {
  const us = system === 'us';
  const unit = us ? 'ft' : 'm';
  return {
    trims: '',
    trimShare: '',
    edgeOn: 'right',
    headingAim: 'fewest',
    last: 'even',
    reserve: '',
    reserveUnit: us ? 'lb' : 'kg',
    turn: '',
    refill: '',
    block: { size: '', unit: us ? 'ft2' : 'm2' },
    water: { depth: '', unit: us ? 'in' : 'mm', by: '', who: '' },
    walk: { late: '', early: '', wander: '', unit, pace: '' },
    areas: [],
    ready: null,
  };
}
