import {
  answerWorksheet,
  AS_TYPED,
  isUnitOf,
  KINDS,
  MOST_AREAS,
  NUTRIENT_IDS,
  type AreaUnit,
  type Kind,
  type MassPerAreaUnit,
  type MassUnit,
} from '@steady-scatter/core';
import * as z from 'zod';
import { addInputErrors } from './inputIssues.ts';

/** What is typed is never longer than this on the wire; each reader has its own, smaller limit. */
const typedText = z.string().max(400);

const unitOf = <Id extends string>(kind: Kind) =>
  z.custom<Id>((id) => typeof id === 'string' && isUnitOf(kind, id), {
    error: `This has to be a unit for ${KINDS[kind].words}.`,
  });

export const massUnit = unitOf<MassUnit>('mass');
export const areaUnit = unitOf<AreaUnit>('area');
const rateUnit = unitOf<MassPerAreaUnit>('massPerArea');

/** A worksheet as typed. Empty fields are allowed, wrong ones are not: each carries core's own sentence. */
export const worksheet = z
  .strictObject({
    need: z.strictObject({ nutrient: z.enum(NUTRIENT_IDS), amount: typedText, unit: rateUnit }),
    grade: typedText,
    areas: z
      .array(z.strictObject({ id: z.uuid(), name: z.string().max(120), size: typedText, unit: areaUnit }))
      .max(MOST_AREAS)
      .refine((areas) => new Set(areas.map(({ id }) => id)).size === areas.length, {
        error: 'Each area has to have an id of its own.',
      })
      .readonly(),
    package: z.strictObject({ size: typedText, unit: massUnit }),
    coverage: z.strictObject({ size: typedText, unit: areaUnit }),
    shownIn: z.strictObject({
      rate: rateUnit.nullable(),
      amount: massUnit.nullable(),
      area: areaUnit.nullable(),
    }),
  })
  .superRefine((typed, context) => addInputErrors(context, answerWorksheet(typed, AS_TYPED).errors));
