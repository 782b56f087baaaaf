import { message, type Fact, type Facts, type Message } from '../messages/message.ts';
import type { ErrorCode } from './codes.ts';

const LONGEST_FACT = 60;

const shorten = (fact: Fact | null): Fact => {
  if (typeof fact !== 'string') return fact ?? '';
  return fact.length > LONGEST_FACT ? `${fact.slice(0, LONGEST_FACT - 1)}…` : fact;
};

/**
 * Wrong input, as data: a stable `code`, the `field` it belongs to (a path such as `areas.2.size`), a
 * `hint` that would be right, and facts for its sentence, which a catalogue of words has under the code.
 *
 * @example new InputError('number.empty', { field: 'amount', hint: '0.8' }).sentence // { id: 'errors.number.empty', facts: { hint: '0.8' } }
 */
export class InputError extends Error {
  readonly code: ErrorCode;
  readonly field: string;
  readonly hint: string | null;
  readonly facts: Facts;

  constructor(
    code: ErrorCode,
    {
      field,
      hint = null,
      ...facts
    }: { field: string; hint?: string | null } & Readonly<Record<string, Fact | null>>,
  ) {
    super(`${code} at ${field}`);
    this.name = 'InputError';
    this.code = code;
    this.field = field;
    this.hint = hint;
    this.facts = Object.fromEntries(
      Object.entries({ ...facts, hint: hint ?? '' }).map(([name, fact]) => [name, shorten(fact)]),
    );
  }

  /** Its sentence, to be said by a catalogue. */
  get sentence(): Message {
    return message(`errors.${this.code}`, this.facts);
  }

  /** The same error at another field. */
  at(field: string): InputError {
    return new InputError(this.code, { ...this.facts, field, hint: this.hint });
  }

  /** The same error in a field that belongs to something larger: `grade` under `product` is `product.grade`. */
  under(parent: string): InputError {
    return this.at(`${parent}.${this.field}`);
  }
}

/**
 * Runs a reader and gives back either its value or the InputError it threw; any other error passes on.
 *
 * @example toResult(() => 2).value // 2
 */
export function toResult<T>(read: () => T): { value: T; error: null } | { value: null; error: InputError } {
  try {
    return { value: read(), error: null };
  } catch (error) {
    if (error instanceof InputError) return { value: null, error };
    throw error;
  }
}
