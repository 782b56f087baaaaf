import * as z from 'zod';
import { massUnit, text, type InputOf } from '../fields/schema.ts';

/** One's own scoop, weighed full of one product: each weighing is gross, the empty scoop is the tare. */
export const scoopInput = z.object({
  name: text,
  tare: text,
  weighings: z.array(text).max(50),
  unit: massUnit,
});
export type ScoopInput = InputOf<typeof scoopInput>;
