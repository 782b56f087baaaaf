import * as z from 'zod';

/** Where a calendar follows the plans by a secret address: this and the secret behind it. */
export const CALENDAR_PATH = '/calendar';

/** An address that a calendar follows; the secret itself is told once, when it is made. */
export const feed = z.object({
  id: z.string(),
  /** Who it is for. */
  name: z.string(),
  since: z.string(),
  /** When it was read last; null: never. */
  readAt: z.string().nullable(),
});
export type Feed = z.infer<typeof feed>;

export const newFeed = z.strictObject({ name: z.string().trim().min(1, { error: 'Say who it is for, for example: foreman.' }).max(120) }); // prettier-ignore

/** The path of a new one, with its secret. */
export const madeFeed = z.object({ id: z.string(), path: z.string() });
