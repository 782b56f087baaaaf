import * as z from 'zod';

/** One route of the API: the whole of what both sides know about it. */
export interface Route {
  readonly method: 'get' | 'put' | 'post' | 'delete';
  /** Express path, with `:id` and the like. */
  readonly path: `/api/${string}`;
  readonly summary: string;
  readonly params: z.ZodType;
  /** What stands behind the question mark. */
  readonly query: z.ZodType;
  readonly body: z.ZodType;
  readonly answer: z.ZodType;
}

export const none = z.undefined();
export const nothing = z.object({});
