import { toResult, type InputError } from './InputError.ts';

/** Reads several fields and keeps every error, so that one wrong field does not hide the others. */
export interface Collected {
  readonly errors: InputError[];
  /** The value, or null with its error kept. */
  tryRead<T>(read: () => T): T | null;
  /** As tryRead, and null without an error while nothing is typed: empty is missing, not wrong. */
  readIfPresent<T>(text: string, read: () => T): T | null;
}

/**
 * Reads field after field and notes what cannot be read, so that all of it is told at once.
 *
 * @example collect().readIfPresent('', () => 1) // null, without an error
 */
export function collect(): Collected {
  const errors: InputError[] = [];
  const tryRead = <T>(read: () => T): T | null => {
    const { value, error } = toResult(read);
    if (error) errors.push(error);
    return value;
  };
  return { errors, tryRead, readIfPresent: (text, read) => (text.trim() === '' ? null : tryRead(read)) };
}
