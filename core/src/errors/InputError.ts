import { WORDS, type ErrorCode } from './words.ts';

/** Values that fill the braces of a sentence in the catalogue. */
export type ErrorFacts = Readonly<Record<string, string | number>>;

const LONGEST_FACT = 60;

function shorten(fact: string | number | null): string {
  const text = fact === null ? '' : String(fact);
  return text.length > LONGEST_FACT ? `${text.slice(0, LONGEST_FACT - 1)}…` : text;
}

/**
 * Wrong input, as data: a stable `code`, the `field` it belongs to (a path such as `areas.2.size`), a
 * `hint` that would be right, and facts for the sentence. `message` is the sentence itself.
 *
 * @example new InputError('name.empty', { field: 'name', hint: 'Spring feed' }).message
 * // 'Give it a name, for example Spring feed.'
 */
export class InputError extends Error {
  readonly code: ErrorCode;
  readonly field: string;
  readonly hint: string | null;
  readonly facts: ErrorFacts;

  constructor(
    code: ErrorCode,
    {
      field,
      hint = null,
      ...facts
    }: { field: string; hint?: string | null } & Record<string, string | number | null>,
  ) {
    const filled = Object.fromEntries(
      Object.entries({ ...facts, hint: hint ?? '' }).map(([name, fact]) => [name, shorten(fact)]),
    );
    super(WORDS[code].replace(/\{([\w-]+)\}/g, (_, name: string) => filled[name] ?? ''));
    this.name = 'InputError';
    this.code = code;
    this.field = field;
    this.hint = hint;
    this.facts = filled;
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
