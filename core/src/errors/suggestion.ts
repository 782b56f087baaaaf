import type { InputError } from './InputError.ts';
import type { ErrorCode } from './codes.ts';

/** Errors whose hint is what was meant, not just what would be right. */
const MEANT: ReadonlySet<ErrorCode> = new Set([
  'grade.run-together',
  'grade.fractions',
  'grade.too-much-elemental',
  'unit.which-ounce',
]);

/**
 * What to type instead, when the error knows it for certain; null when its hint is only an example.
 *
 * @param input the whole text of the field
 * @example suggestion(toResult(() => readGrade('240-8', 'grade')).error, '240-8') // '24-0-8'
 */
export function suggestion({ code, hint, facts }: InputError, input: string): string | null {
  if (MEANT.has(code)) return hint;
  if (code !== 'number.decimal-comma' || !hint || !/^[\d.]+$/.test(hint)) return null;
  const typed = facts['input'];
  return typeof typed === 'string' ? input.replace(typed, hint) : null;
}
