import { message } from '../messages/message.ts';
import * as z from 'zod';
import type { Kind } from '../quantities/kinds.ts';
import {
  isUnitOf,
  type AreaUnit,
  type FlowUnit,
  type LengthUnit,
  type MassPerAreaUnit,
  type MassPerLaneUnit,
  type MassPerRowUnit,
  type MassUnit,
  type MixShareUnit,
  type PressureUnit,
  type UnitId,
  type VolumePerAreaUnit,
  type VolumeUnit,
} from '../quantities/units.ts';

/** What a schema reads, as it is handed about: nobody changes what somebody else typed. */
export type InputOf<Schema extends z.ZodType> = DeepReadonly<z.output<Schema>>;

type DeepReadonly<Value> = Value extends readonly unknown[] | object
  ? { readonly [Key in keyof Value]: DeepReadonly<Value[Key]> }
  : Value;

/** What is typed is never longer than this where it is stored; each reader has its own, smaller limit. */
const MAX_TEXT = 400;
const MAX_NOTES = 4000;

/** A text as typed into a field. */
export const text = z.string().max(MAX_TEXT);
/** A text of several lines. */
export const notes = z.string().max(MAX_NOTES);
/** The id of something else that is stored; empty: none. */
export const idOrNone = z.union([z.literal(''), z.uuid()]);
/** The id of a part of a thing, told apart within it. */
export const partId = z.string().min(1).max(60);

/** One of the keys of a table. */
export const keyOf = <Key extends string>(table: Readonly<Record<Key, unknown>>) =>
  z.enum(Object.keys(table) as [Key, ...Key[]]);

/** The id of a unit of one of these kinds. */
const unitOf = <Id extends UnitId>(...kinds: Kind[]) =>
  z.custom<Id>((id) => typeof id === 'string' && kinds.some((kind) => isUnitOf(kind, id)), {
    params: {
      sentence: message('errors.unitFor', { kinds: kinds.map((kind) => message(`kinds.quantity.${kind}`)) }),
    },
  });

export const areaUnit = unitOf<AreaUnit>('area');
export const lengthUnit = unitOf<LengthUnit>('length');
export const massUnit = unitOf<MassUnit>('mass');
export const volumeUnit = unitOf<VolumeUnit>('volume');
export const flowUnit = unitOf<FlowUnit>('flow');
export const pressureUnit = unitOf<PressureUnit>('pressure');
export const packageUnit = unitOf<MassUnit | VolumeUnit>('mass', 'volume');
export const massRateUnit = unitOf<MassPerAreaUnit>('massPerArea');
/** What a machine is calibrated for: on the ground by weight or by volume, or on a length of row or of lane. */
export const benchRateUnit = unitOf<MassPerAreaUnit | MassPerRowUnit | MassPerLaneUnit | VolumePerAreaUnit>('massPerArea', 'massPerRowLength', 'massPerLaneLength', 'volumePerArea'); // prettier-ignore
export const volumeRateUnit = unitOf<VolumePerAreaUnit>('volumePerArea');
/** What goes into a mix: on the ground by weight or volume, or in each volume of the mix. */
export type MateUnit =
  | MassPerAreaUnit
  | VolumePerAreaUnit
  | MixShareUnit
  | 'kg/L'
  | 'g/L'
  | 'lb/gal'
  | 'oz/gal';
export const mateUnit = unitOf<MateUnit>('massPerArea', 'volumePerArea', 'volumePerVolume', 'density');
export const rateUnit = unitOf<MassPerAreaUnit | VolumePerAreaUnit>('massPerArea', 'volumePerArea');

/** A length as typed, with the unit that a bare number counts in. */
export const lengthText = z.object({ text, unit: lengthUnit });

/** Refuses two parts of one thing under the same id. */
export const ownIds = (parts: readonly { readonly id: string }[]): boolean =>
  new Set(parts.map(({ id }) => id)).size === parts.length;
