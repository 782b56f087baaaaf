import * as z from 'zod';

/** One wrong field: its path in the body, a stable code, a sentence, and what would be right. */
export const fieldProblem = z.object({
  path: z.array(z.union([z.string(), z.number()])),
  code: z.string(),
  message: z.string(),
  hint: z.string().nullable(),
});

/**
 * All problems that the API answers with, and the status of each. What a client decides, it decides by the code in `type`; title and
 * detail are for people, and stand in the catalogue of what is said. docs/problems.md lists them for whoever calls the API.
 */
export const PROBLEMS = {
  invalid: { status: 400 },
  unreadable: { status: 400 },
  'not-paired': { status: 401 },
  'device-forgotten': { status: 401 },
  'foreign-origin': { status: 403 },
  'only-here': { status: 403 },
  'wrong-code': { status: 403 },
  'not-found': { status: 404 },
  'changed-elsewhere': { status: 409 },
  'id-taken': { status: 409 },
  'other-installation': { status: 409 },
  'subject-deleted': { status: 409 },
  'too-large': { status: 413 },
  'unsupported-type': { status: 415 },
  'later-version': { status: 422 },
  'would-lose': { status: 422 },
  'too-much-work': { status: 422 },
  'not-restored': { status: 422 },
  'too-many-codes': { status: 429 },
  'too-many-requests': { status: 429 },
  'unreadable-document': { status: 500 },
  failed: { status: 500 },
  'station-down': { status: 502 },
  'database-down': { status: 503 },
  busy: { status: 503 },
  'disk-full': { status: 507 },
} as const satisfies Record<string, { status: number }>;

export type ProblemCode = keyof typeof PROBLEMS;

/** The `type` of a problem: a reference relative to the API's address. */
export const problemType = <Code extends ProblemCode>(code: Code): `/problems/${Code}` => `/problems/${code}`;

const base = {
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  requestId: z.string().optional(),
};
const of = <Code extends ProblemCode>(code: Code) =>
  z.object({ type: z.literal(problemType(code)), ...base });
const errors = z.array(fieldProblem);

/** An error as RFC 9457 problem details, told apart by its `type`; `requestId` finds it in the log. */
export const problem = z.discriminatedUnion('type', [
  of('invalid').extend({ errors }),
  of('unreadable'),
  of('not-paired'),
  of('device-forgotten'),
  of('foreign-origin'),
  of('only-here'),
  of('wrong-code'),
  of('not-found'),
  /** `theirs` is what stands there now; null when it was deleted. */
  of('changed-elsewhere').extend({ theirs: z.unknown() }),
  of('id-taken'),
  of('other-installation'),
  of('subject-deleted'),
  of('too-large'),
  of('unsupported-type'),
  of('later-version'),
  of('would-lose').extend({ errors }),
  of('too-much-work'),
  of('not-restored'),
  of('too-many-codes'),
  of('too-many-requests'),
  of('unreadable-document'),
  of('failed'),
  of('station-down'),
  of('database-down').extend({ database: z.string().optional(), disk: z.string().optional() }),
  of('busy'),
  of('disk-full'),
]);

export type FieldProblem = z.infer<typeof fieldProblem>;
export type Problem = z.infer<typeof problem>;
/** What a problem carries beside its words, by its code. */
export type ProblemFacts<Code extends ProblemCode> = Omit<
  Extract<Problem, { type: `/problems/${Code}` }>,
  'type' | keyof typeof base
>;
