import { toResult, type InputError } from '@steady-scatter/core/errors';
import * as z from 'zod';

/** 'areas.2.size' -> ['areas', 2, 'size'] */
export const fieldPath = (field: string): (string | number)[] =>
  field === '' ? [] : field.split('.').map((step) => (/^\d+$/.test(step) ? Number(step) : step));

/** Hands core's errors to Zod, each at its field, with its code and hint. */
export function addInputErrors(context: z.RefinementCtx, errors: readonly InputError[]): void {
  for (const { field, message, code, hint } of errors) {
    context.addIssue({ code: 'custom', path: fieldPath(field), message, params: { code, hint } });
  }
}

/** A text that one of core's readers accepts; the reader's field is ignored, Zod knows the path. */
export const readText = (read: (typed: string) => string) =>
  z.string().transform((typed, context) => {
    const { value, error } = toResult(() => read(typed));
    if (error === null) return value;
    context.addIssue({
      code: 'custom',
      message: error.message,
      params: { code: error.code, hint: error.hint },
    });
    return z.NEVER;
  });

/** What core reads out of a thing that was typed, worked out once however many ask for it. */
export function once<Typed extends object, Reading>(read: (typed: Typed) => Reading) {
  const known = new WeakMap<Typed, Reading>();
  return (typed: Typed): Reading => {
    const before = known.get(typed);
    if (before !== undefined) return before;
    const reading = read(typed);
    known.set(typed, reading);
    return reading;
  };
}
