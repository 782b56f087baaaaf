import * as z from 'zod';

/** One wrong field: its path in the body, a stable code, a sentence, and what would be right. */
export const fieldProblem = z.object({
  path: z.array(z.union([z.string(), z.number()])),
  code: z.string(),
  message: z.string(),
  hint: z.string().nullable(),
});

/** An error as RFC 9457 problem details; `requestId` finds it in the log. */
export const problem = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  requestId: z.string().optional(),
  errors: z.array(fieldProblem).optional(),
});

export type FieldProblem = z.infer<typeof fieldProblem>;
export type Problem = z.infer<typeof problem>;
