import { ApiProblem, Unreachable } from './errors.ts';

/** A failure that passes: the server or its database does not answer just now. */
export const isPassing = (error: unknown): boolean =>
  error instanceof Unreachable || (error instanceof ApiProblem && error.is('database-down', 'busy'));
