import { InputError } from '@steady-scatter/core/errors';
import { speak } from '@steady-scatter/words/common';

/** What went wrong, as it is said: wrong input by its code, anything else as it says itself. */
export function errorText(error: unknown): string {
  if (error instanceof InputError) return speak(error.sentence);
  return error instanceof Error ? error.message : String(error);
}
