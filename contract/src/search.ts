import * as z from 'zod';
import { KIND_NAMES } from './kinds/index.ts';

/** What is looked for, in the names and texts of all kinds. */
export const searchQuery = z.strictObject({
  q: z.string().trim().min(1, { error: 'Type something to look for.' }).max(200),
  limit: z.coerce.number().int().min(1).max(50).default(12),
});

/** Something that was found: what kind, which, and the text besides its name that has the words. */
const hit = z.object({
  kind: z.enum(KIND_NAMES),
  id: z.string(),
  name: z.string(),
  found: z.string().nullable(),
  onDay: z.string().nullable(),
  isSample: z.boolean(),
});

export const hits = z.object({ hits: z.array(hit) });
export type Hit = z.infer<typeof hit>;
