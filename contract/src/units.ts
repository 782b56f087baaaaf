import type { PackageUnit } from '@steady-scatter/core/loads';
import {
  isUnitOf,
  KINDS,
  type AreaUnit,
  type Kind,
  type LengthUnit,
  type MassPerAreaUnit,
  type MassUnit,
  type UnitId,
  type VolumePerAreaUnit,
} from '@steady-scatter/core/quantities';
import type { RateUnit } from '@steady-scatter/core/shelf';
import * as z from 'zod';

/** What is typed is never longer than this on the wire; each reader has its own, smaller limit. */
export const typedText = z.string().max(400);

/** The id of a unit of one of these kinds. */
const unitOf = <Id extends UnitId>(...kinds: Kind[]) =>
  z.custom<Id>((id) => typeof id === 'string' && kinds.some((kind) => isUnitOf(kind, id)), {
    error: `This has to be a unit for ${kinds.map((kind) => KINDS[kind].words).join(' or for ')}.`,
  });

export const areaUnit = unitOf<AreaUnit>('area');
export const lengthUnit = unitOf<LengthUnit>('length');
export const massUnit = unitOf<MassUnit>('mass');
export const packageUnit = unitOf<PackageUnit>('mass', 'volume');
export const massRateUnit = unitOf<MassPerAreaUnit>('massPerArea');
export const volumeRateUnit = unitOf<VolumePerAreaUnit>('volumePerArea');
export const rateUnit = unitOf<RateUnit>('massPerArea', 'volumePerArea');
