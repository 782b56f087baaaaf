import * as z from 'zod';

/** Largest photo that is taken, bytes, and most pixels of one. */
export const PHOTO_LIMITS = { bytes: 10 * 2 ** 20, pixels: 40_000_000 } as const;

/** What pictures may be; told by their content, whatever they are called. */
export const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;
export type PhotoType = (typeof PHOTO_TYPES)[number];

/** What is known of a photo. Once it is removed its picture is gone, and this stays. */
export const photoFacts = z.object({
  id: z.string(),
  type: z.enum(PHOTO_TYPES),
  bytes: z.int(),
  width: z.int(),
  height: z.int(),
  /** SHA-256 of the picture, hex. */
  sha256: z.string(),
  /** When it came, by the clock of the server. */
  recordedAt: z.string(),
  removedAt: z.string().nullable(),
  removedWhy: z.string(),
});
export type PhotoFacts = z.infer<typeof photoFacts>;

/** Where the picture of a photo is. */
export const photoPath = (id: string): string => `/api/photos/${id}`;
