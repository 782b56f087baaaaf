import type { DisplayValue } from '@steady-scatter/core/quantities';
import type { Term, Working } from '@steady-scatter/core/working';

/** The term of a line of working that plays a role; a line without it is a mistake in the code. */
export function termOf(line: Working, role: string): Term {
  const found = line.parts.find((part): part is Term => part.type === 'term' && part.role === role);
  if (!found) throw new Error(`The line ${line.id} has no term ${role}.`);
  return found;
}

/** What a term of a line shows, null while it is missing. */
export const termShown = (line: Working, role: string): DisplayValue | null => termOf(line, role).shown;
