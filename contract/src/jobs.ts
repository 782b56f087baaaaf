import { readDay, readName } from '@steady-scatter/core/fields';
import * as z from 'zod';
import { readText } from './inputIssues.ts';
import { areaUnit, packageUnit } from './units.ts';
import { worksheet, worksheetShape } from './worksheet.ts';

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
  worksheet: worksheetShape,
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
  /** The product by its name on the shelf, else by its grade. */
  product: z.string(),
  /** Areas that have a size. */
  areas: z.int(),
  /** Areas of sites that it treats, the days of its portions, and how many rules it breaks. */
  ground: z.array(z.object({ site: z.string(), area: z.string() })),
  days: z.array(z.string()),
  rulesBroken: z.int(),
  /** Names of all its areas, for finding it. */
  areaNames: z.array(z.string()),
  totalM2: z.number().nullable(),
  /** kg, or L for a liquid. */
  amountSi: z.number().nullable(),
  /** Units that the job's own sheet shows these in. */
  units: z.object({ amount: packageUnit, area: areaUnit }),
});

export type Job = z.infer<typeof job>;
export type JobSummary = z.infer<typeof jobSummary>;
export type JobWrite = z.infer<typeof jobWrite>;
