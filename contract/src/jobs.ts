import { readDay, readName } from '@steady-scatter/core';
import * as z from 'zod';
import { readText } from './inputIssues.ts';
import { areaUnit, massUnit, worksheet } from './worksheet.ts';

/** Ids are UUIDs of version 7, made by the client, so that a repeated write is harmless. */
export const jobId = z.uuid({ error: 'This has to be the id of a job.' });

/** A job as written: `version` is the one last seen, 0 for a new job. */
export const jobWrite = z.strictObject({
  version: z.int().min(0),
  name: readText((typed) => readName(typed, '', 'Spring feed, lake front')),
  onDay: readText((typed) => readDay(typed, '')),
  worksheet,
});

/** A job as kept. */
export const job = z.object({
  id: z.string(),
  version: z.int(),
  /** Part of the demo: made up, and marked so wherever it is shown. */
  isSample: z.boolean(),
  name: z.string(),
  onDay: z.string(),
  worksheet,
  changedAt: z.string(),
});

/** A job in the list: enough to recognise it. Values are SI, null where the sheet is incomplete. */
export const jobSummary = z.object({
  id: z.string(),
  isSample: z.boolean(),
  name: z.string(),
  onDay: z.string(),
  /** The need as typed, with its unit: "0.8 lb N on each 1000 ft²". */
  need: z.string(),
  grade: z.string(),
  /** Areas that have a size. */
  areas: z.int(),
  /** Names of all its areas, for finding it. */
  areaNames: z.array(z.string()),
  totalM2: z.number().nullable(),
  amountKg: z.number().nullable(),
  /** Units that the job's own sheet shows these in. */
  units: z.object({ amount: massUnit, area: areaUnit }),
});

export type Job = z.infer<typeof job>;
export type JobSummary = z.infer<typeof jobSummary>;
export type JobWrite = z.infer<typeof jobWrite>;
