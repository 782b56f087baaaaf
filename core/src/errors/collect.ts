import { attempt, type InputError } from './InputError.ts';

/** Reads several fields and keeps every error, so that one wrong field does not hide the others. */
export interface Collected {
  readonly errors: InputError[];
  /** The value, or null with its error kept. */
  noting<T>(read: () => T): T | null;
  /** As noting, and null without an error while nothing is typed: empty is missing, not wrong. */
  ifTyped<T>(text: string, read: () => T): T | null;
}

/**
 * @example const { errors, ifTyped } = collect(); ifTyped('', () => readNumber('', 'price')) // null, no error
 */
export function collect(): Collected {
  const errors: InputError[] = [];
  const noting = <T>(read: () => T): T | null => {
    const { value, error } = attempt(read);
    if (error) errors.push(error);
    return value;
  };
  return { errors, noting, ifTyped: (text, read) => (text.trim() === '' ? null : noting(read)) };
}
