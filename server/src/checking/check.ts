import { ROUTES, type BodyOf } from '@steady-scatter/contract';
import { ZodError, type ZodType } from 'zod';
import { plainProblem } from '../problems/HttpProblem.ts';
import { invalid } from '../problems/invalid.ts';
import { storedOf, type Stored, type StoringName } from './stored.ts';

/**
 * Checks the body of a request that is kept, and works out what is stored of it.
 *
 * @param body JSON in UTF-8, as it came
 * @throws HttpProblem unreadable, invalid, too-much-work
 */
export type Check = (name: StoringName, body: Uint8Array) => Promise<Stored>;

/**
 * Checks what was read already, where it is called.
 *
 * @throws ZodError with each wrong field
 */
export function checkRead(name: StoringName, raw: unknown): Stored {
  const body = (ROUTES[name].body as unknown as ZodType<BodyOf<StoringName>>).parse(raw);
  return storedOf(name, body);
}

/** What a body says; null when it is no JSON in UTF-8. */
export function readJson(body: Uint8Array): { readonly json: unknown } | null {
  try {
    return { json: JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body)) };
  } catch {
    return null;
  }
}

/** Checks at once, where it is called. */
export const checkHere: Check = async (name, body) => {
  const read = readJson(body);
  if (!read) throw plainProblem('unreadable');
  try {
    return checkRead(name, read.json);
  } catch (error) {
    throw error instanceof ZodError ? invalid(error) : error;
  }
};
