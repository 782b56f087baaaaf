import * as z from 'zod';
import type { InputOf } from '../fields/schema.ts';

/** What is at hand for a test. */
export const toolsInput = z.object({
  /** One that carries the whole machine, a small one, or none. */
  scale: z.enum(['machine', 'small', 'none']),
  /** A tarp wide enough for all that is thrown. */
  tarp: z.boolean(),
  /** A smooth floor that can be swept. */
  floor: z.boolean(),
  /** A tray that hangs under the hopper. */
  tray: z.boolean(),
  /** Ground that may take the product, a fresh strip for each run. */
  ground: z.boolean(),
  helper: z.boolean(),
  wind: z.boolean(),
});
export type ToolsInput = InputOf<typeof toolsInput>;

/**
 * What is at hand until somebody says otherwise.
 *
 * @example blankTools().scale // 'machine'
 */
export const blankTools = (): ToolsInput => ({
  scale: 'machine',
  tarp: false,
  floor: false,
  tray: false,
  ground: true,
  helper: false,
  wind: false,
});
