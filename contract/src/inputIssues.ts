import type { InputError } from '@steady-scatter/core/errors';
import * as z from 'zod';

/** 'areas.2.size' -> ['areas', 2, 'size'] */
export const fieldPath = (field: string): (string | number)[] =>
  field === '' ? [] : field.split('.').map((step) => (/^\d+$/.test(step) ? Number(step) : step));

/** Hands core's errors to Zod, each at its field, with its code, its hint and what is to be said of it. */
export function addInputErrors(context: z.RefinementCtx, errors: readonly InputError[]): void {
  for (const { field, message, code, hint, sentence } of errors) {
    context.addIssue({ code: 'custom', path: fieldPath(field), message, params: { code, hint, sentence } });
  }
}
