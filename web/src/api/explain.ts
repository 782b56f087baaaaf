import { ApiProblem, NotTaken, Renewed, Unreachable } from './errors.ts';

/** What to say about a failed act, and what to do. What was typed is still there in every case. */
export function explain(error: unknown): string {
  if (error instanceof ApiProblem || error instanceof NotTaken) return error.message;
  if (error instanceof Renewed)
    return 'A newer version of this page is there. What you typed stays in this browser; load the page again, then go on.';
  if (error instanceof Unreachable)
    return 'The server does not answer. What you typed stays in this browser; try again in a moment.';
  return 'Something went wrong here. What you typed stays in this browser; try again.';
}
