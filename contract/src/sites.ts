import {
  ALONG,
  EDGE_KINDS,
  MEASURED_BY,
  MAX_PARTS,
  MAX_SITE_AREAS,
  evaluateSite,
  SHAPE_KINDS,
  SLOPES,
  SURFACES,
} from '@steady-scatter/core/ground';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { areaUnit, lengthUnit, typedText as text } from './units.ts';

const keyOf = <Key extends string>(table: Readonly<Record<Key, unknown>>) =>
  z.enum(Object.keys(table) as [Key, ...Key[]]);

/** A drawing reaches no farther than the largest area does, m. */
const metres = z.number().min(-1e6).max(1e6);
const placing = z.strictObject({ x: metres, y: metres, turn: z.number().min(-1e4).max(1e4) });
const partId = z.string().min(1).max(60);
const notes = z.string().max(4000);

const shapePart = z.strictObject({
  id: partId,
  kind: z.enum(SHAPE_KINDS),
  cut: z.boolean(),
  lengths: z.array(text).max(200).readonly(),
  unit: lengthUnit,
  by: keyOf(MEASURED_BY),
  within: text,
  at: placing,
});

const boundaryPart = z.strictObject({
  id: partId,
  kind: z.literal('boundary'),
  cut: z.boolean(),
  outlines: z
    .array(
      z
        .array(z.tuple([metres, metres]).readonly())
        .min(3)
        .max(4000)
        .readonly(),
    )
    .min(1)
    .max(200)
    .readonly(),
  from: z.string().max(300),
  off: text,
  unit: lengthUnit,
  at: placing,
});

const edge = z.strictObject({
  id: partId,
  of: keyOf(EDGE_KINDS),
  along: keyOf(ALONG),
  part: z.string().max(60),
  from: text,
  to: text,
  length: text,
  buffer: text,
  unit: lengthUnit,
});

const rows = z.strictObject({
  spacing: text,
  own: text,
  per: areaUnit,
  count: text,
  length: text,
  unit: lengthUnit,
});

const siteArea = z.strictObject({
  id: z.uuid(),
  name: z.string().max(120),
  surface: keyOf(SURFACES),
  slope: keyOf(SLOPES),
  treated: z.boolean(),
  hold: z.enum(['sum', 'placed']),
  parts: z
    .array(z.discriminatedUnion('kind', [boundaryPart, shapePart]))
    .max(MAX_PARTS)
    .readonly(),
  edges: z.array(edge).max(40).readonly(),
  rows,
  shownIn: areaUnit,
  notes,
});

/** A site as typed: its areas with the parts they were measured in. */
export const siteShape = z.strictObject({
  name: text,
  notes,
  place: z.strictObject({ lat: text, lon: text }),
  pace: z.strictObject({
    line: text,
    unit: lengthUnit,
    walks: z.array(text).max(12).readonly(),
    wheel: text,
  }),
  areas: z
    .array(siteArea)
    .max(MAX_SITE_AREAS)
    .refine((areas) => new Set(areas.map(({ id }) => id)).size === areas.length, {
      error: 'Each area has to have an id of its own.',
    })
    .readonly(),
});

export const siteResult = once(evaluateSite);

/** The same as it may be kept: what is in it can be read. */
export const siteInput = siteShape.superRefine((typed, context) =>
  addInputErrors(context, siteResult(typed).errors),
);

export const siteWrite = writeOf(siteInput);
export const site = keptOf(siteShape);

export type Site = z.infer<typeof site>;
export type SiteWrite = z.infer<typeof siteWrite>;
