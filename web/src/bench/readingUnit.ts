import { areaUnitFor, pressureUnitFor, volumeUnitFor } from '@steady-scatter/core/fields';
import { UNITS, type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import type { MethodField } from '@steady-scatter/core/testing';
import { say } from '@steady-scatter/words/bench';

/** What a bare number of a reading counts in: it stands beside the field. */
export function readingUnit(
  { kind }: Pick<MethodField, 'kind'>,
  { mass, length }: { readonly mass: MassUnit; readonly length: LengthUnit },
): string {
  if (kind === 'count') return say('bench.unit.times');
  if (kind === 'mass') return UNITS[mass].symbol;
  if (kind === 'time') return 's';
  if (kind === 'volume') return UNITS[volumeUnitFor(length)].symbol;
  if (kind === 'pressure') return UNITS[pressureUnitFor(length)].symbol;
  return UNITS[kind === 'area' ? areaUnitFor(length) : length].symbol;
}
