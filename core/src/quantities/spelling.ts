import type { Kind } from './kinds.ts';
import { UNITS, UNIT_IDS, type UnitId } from './units.ts';

/** Brings the many ways of writing a unit to one: lower case, no spaces, "sq ft" and "ft²" alike, "per" as "/". */
export function plainSpelling(text: string): string {
  return text
    .toLowerCase()
    .replace(/\bper\b/g, '/')
    .replace(/(on )?each\b/g, '/')
    .replace(/thousand/g, '1000')
    .replace(/[²]|\^2/g, '2')
    .replace(/[′’‘]/g, "'")
    .replace(/[″”“]/g, '"')
    .replace(/[\s.,\u2009\u202f]/g, '')
    .replace(/\/1(?=[a-z])/g, '/');
}

const BY_SPELLING = new Map<string, UnitId[]>();
for (const id of UNIT_IDS) {
  for (const spelling of new Set([id, UNITS[id].symbol, ...UNITS[id].spellings].map(plainSpelling))) {
    BY_SPELLING.set(spelling, [...(BY_SPELLING.get(spelling) ?? []), id]);
  }
}

/** The units that a spelling can mean, none when it is unknown. */
export function unitsSpelled(text: string): readonly UnitId[] {
  return BY_SPELLING.get(plainSpelling(text)) ?? [];
}

/**
 * The unit of this kind that a spelling means, or null.
 *
 * @example unitSpelled('pounds', 'mass') // 'lb'
 */
export function unitSpelled(text: string, kind: Kind): UnitId | null {
  return unitsSpelled(text).find((id) => UNITS[id].kind === kind) ?? null;
}
