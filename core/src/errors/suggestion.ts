import type { InputError } from './InputError.ts';

/**
 * What to type instead, when the error knows it for certain; null when its hint is only an example.
 *
 * @param typed the whole text of the field
 * @example suggestion(error for '240-8', '240-8') // '24-0-8'
 */
export function suggestion({ code, hint, facts }: InputError, typed: string): string | null {
  switch (code) {
    case 'grade.run-together':
    case 'grade.fractions':
    case 'grade.too-much-elemental':
    case 'unit.which-ounce':
      return hint;
    case 'number.decimal-comma':
      return hint && /^[\d.]+$/.test(hint) ? typed.replace(String(facts['typed']), hint) : null;
    default:
      return null;
  }
}
