import * as z from 'zod';

/** One wrong field: its path in the body, a stable code, a sentence, and what would be right. */
export const fieldProblem = z.object({
  path: z.array(z.union([z.string(), z.number()])),
  code: z.string(),
  message: z.string(),
  hint: z.string().nullable(),
});

/**
 * All problems that the API answers with. What a client decides, it decides by the code in `type`; title and detail are for people.
 * docs/problems.md lists them for whoever calls the API.
 */
export const PROBLEMS = {
  invalid: { status: 400, title: 'Something here cannot be kept', detail: 'Something in this request cannot be read.' },
  unreadable: { status: 400, title: 'Not readable', detail: 'The request is not readable JSON in UTF-8.' },
  'not-paired': { status: 401, title: 'Not paired', detail: 'This device is not paired yet. Type the code that stands where Steady Scatter was started.' },
  'device-forgotten': { status: 401, title: 'Forgotten', detail: 'This device was forgotten at the machine that Steady Scatter runs on. What it held of the crew is deleted from it.' },
  'foreign-origin': { status: 403, title: 'From another site', detail: 'Only pages of this address may change anything here.' },
  'only-here': { status: 403, title: 'Only at the machine itself', detail: 'This can be done on the machine that Steady Scatter runs on, and nowhere else.' },
  'wrong-code': { status: 403, title: 'Another code', detail: 'That is not the code. It has eight digits and stands where Steady Scatter was started; it is another one after each start.' },
  'not-found': { status: 404, title: 'Not found', detail: 'There is nothing at this address.' },
  'changed-elsewhere': { status: 409, title: 'Changed elsewhere', detail: 'This was changed elsewhere since you opened it.' },
  'id-taken': { status: 409, title: 'Id taken', detail: 'Something else is kept under this id. Make a new one.' },
  'other-installation': { status: 409, title: 'Meant for another installation', detail: 'This was meant for another installation, or for this one before it was restored.' },
  'subject-deleted': { status: 409, title: 'Deleted meanwhile', detail: 'What this belongs to was deleted. Restore it first.' },
  'too-large': { status: 413, title: 'Too large', detail: 'That is more than this can take at once.' },
  'unsupported-type': { status: 415, title: 'Not readable', detail: 'The request is not readable JSON in UTF-8.' },
  'later-version': { status: 422, title: 'Written by a later version', detail: 'This was written by a later version of Steady Scatter than the server is. It stays where it was typed, and can be stored when the server is brought up to date.' },
  'would-lose': { status: 422, title: 'Something measured would be lost', detail: 'Something measured would be lost.' },
  'too-much-work': { status: 422, title: 'Too much to work out', detail: 'This takes too long to work out. Simplify its outlines or its edges, or make several of it.' },
  'not-restored': { status: 422, title: 'Not restored', detail: 'This backup cannot be restored. Nothing was changed.' },
  'too-many-codes': { status: 429, title: 'Too many wrong codes', detail: 'Too many wrong codes. Wait ten minutes.' },
  'too-many-requests': { status: 429, title: 'Too many requests', detail: 'Too many requests at once. Try again in a minute.' },
  'unreadable-document': { status: 500, title: 'Not readable any more', detail: 'This is stored in a way that cannot be read any more. It can be exported as it stands, and deleted, in its list.' },
  failed: { status: 500, title: 'Something went wrong', detail: 'The server could not do this. Nothing was changed.' },
  'database-down': { status: 503, title: 'Database not reachable', detail: 'The database does not answer. What you typed stays here; try again in a moment.' },
  busy: { status: 503, title: 'Busy', detail: 'Too much is being kept at once. Try again in a moment.' },
  'disk-full': { status: 507, title: 'Disk full', detail: 'The disk of the machine that keeps this is full, so nothing more can be kept. What you typed stays here. Make room there, then try again.' },
} as const satisfies Record<string, { status: number; title: string; detail: string }>; // prettier-ignore

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
