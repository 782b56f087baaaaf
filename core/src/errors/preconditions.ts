import { InputError } from './InputError.ts';

/** What is named in the errors here is a parameter of a function, not a field of a form. */
const unusable = (name: string, value: number): InputError =>
  new InputError('number.unusable', { field: name, input: String(value) });

/**
 * The same number, or an error where it is none: no NaN or Infinity leaves core.
 *
 * @throws InputError number.unusable
 * @example finite(3 / 4) // 0.75
 */
export function finite(value: number, name = 'result'): number {
  if (Number.isFinite(value)) return value;
  throw unusable(name, value);
}

/**
 * Refuses what is not a number above 0.
 *
 * @param values by the names of the parameters
 * @throws InputError number.unusable
 */
export function requirePositive(values: Readonly<Record<string, number>>): void {
  for (const [name, value] of Object.entries(values)) if (!(value > 0) || !Number.isFinite(value)) throw unusable(name, value); // prettier-ignore
}

/**
 * Refuses what is not a number.
 *
 * @param values by the names of the parameters
 * @throws InputError number.unusable
 */
export function requireFinite(values: Readonly<Record<string, number>>): void {
  for (const [name, value] of Object.entries(values))
    if (!Number.isFinite(value)) throw unusable(name, value);
}
