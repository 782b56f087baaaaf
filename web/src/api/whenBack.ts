import { ApiProblem, Unreachable } from './errors.ts';

/** What could not be kept because nothing answered, by what it is of. */
const waiting = new Map<string, () => unknown>();

/** A failure that passes: the server or its database does not answer just now. */
export const isPassing = (error: unknown): boolean =>
  error instanceof Unreachable || (error instanceof ApiProblem && error.is('database-down', 'busy'));

/** Remembers to keep a thing when the server answers again; the latest way of keeping it counts. */
export const keepWhenBack = (of: string, keep: () => unknown): void => void waiting.set(of, keep);

/** Whether a thing waits to be kept. */
export const waits = (of: string): boolean => waiting.has(of);

/** A thing was kept, dropped or decided on by hand. */
export const waitNoMore = (of: string): void => void waiting.delete(of);

/** Keeps all that waits, one after the other; what fails again waits again, or says why. */
export async function keepWaiting(): Promise<void> {
  const all = [...waiting.values()];
  waiting.clear();
  // oxlint-disable-next-line no-await-in-loop -- in the order in which they were tried
  for (const keep of all) await keep();
}

/** What to say of a write that waits. */
export const saidOfWaiting = (error: unknown): string =>
  error instanceof ApiProblem
    ? 'The database does not answer. What you typed stays in this browser, and is kept by itself when it answers again.'
    : 'The server does not answer. What you typed stays in this browser, and is kept by itself when it answers again.';
