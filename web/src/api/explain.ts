import { say } from '@steady-scatter/words/common';
import { ApiProblem, NotTaken, Renewed, Unreachable } from './errors.ts';

/** What to say about a failed act, and what to do. What was typed is still there in every case. */
export function explain(error: unknown): string {
  if (error instanceof ApiProblem || error instanceof NotTaken) return error.message;
  if (error instanceof Renewed) return say('common.updatedPage');
  if (error instanceof Unreachable) return say('common.silentTyped');
  return say('common.wentWrong');
}
