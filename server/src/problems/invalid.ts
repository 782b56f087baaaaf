import type { ZodError, ZodType } from 'zod';
import { speak } from '@steady-scatter/words/everything';
import type { Message } from '@steady-scatter/core/messages';
import { HttpProblem } from './HttpProblem.ts';

const wordsOf = (what: unknown): string | undefined =>
  what === undefined ? undefined : speak(what as Message);

/** What somebody asked with and cannot be read, each wrong field with its path. */
export function invalid(error: ZodError): HttpProblem {
  const errors = error.issues.map((issue) => {
    const params: Record<string, unknown> = 'params' in issue ? (issue.params ?? {}) : {};
    return {
      path: issue.path.map((step) => (typeof step === 'number' ? step : String(step))),
      code: typeof params['code'] === 'string' ? params['code'] : `body.${issue.code}`,
      message: wordsOf(params['sentence']) ?? issue.message,
      hint: typeof params['hint'] === 'string' ? params['hint'] : null,
    };
  });
  return new HttpProblem('invalid', { errors, ...(errors[0] && { detail: errors[0].message }) });
}

/**
 * Reads what somebody asked with.
 *
 * @throws HttpProblem invalid
 */
export function readAsked<Read>(schema: ZodType<Read>, asked: unknown): Read {
  const { data, error } = schema.safeParse(asked);
  if (error) throw invalid(error);
  return data;
}

/** One field of a body that cannot be what it says. */
export const invalidField = (field: string, code: string, message: string): HttpProblem =>
  new HttpProblem('invalid', { detail: message, errors: [{ path: [field], code, message, hint: null }] });

/** A part of what stands behind the question mark that cannot be read. */
export const invalidQuery = (field: string, message: string): HttpProblem =>
  invalidField(field, 'query.unreadable', message);
