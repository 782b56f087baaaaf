import * as z from 'zod';

/** What is on the shelf of one product, as the server adds it up. */
export const stockLine = z.object({
  product: z.string(),
  packages: z.number(),
  countedAt: z.string(),
  received: z.number(),
  used: z.number(),
  disposed: z.number(),
});
export type StockLine = z.infer<typeof stockLine>;
