import { ROUTES, type BodyOf } from '@steady-scatter/contract';
import type { ZodType } from 'zod';
import { storedOf, type Stored, type StoringName } from './stored.ts';

/**
 * Checks the body of a request that is kept, and works out what is stored of it.
 *
 * @param body JSON in UTF-8, as it came
 * @throws SyntaxError when it is none; ZodError with each wrong field; Refusal when it takes too long
 */
export type Check = (name: StoringName, body: Uint8Array) => Promise<Stored>;

/** Checks what was read already, where it is called. */
export function checkRead(name: StoringName, raw: unknown): Stored {
  const body = (ROUTES[name].body as unknown as ZodType<BodyOf<StoringName>>).parse(raw);
  return storedOf(name, body);
}

function readJson(body: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body));
  } catch {
    throw new SyntaxError('The request is not readable JSON in UTF-8.');
  }
}

/** Checks at once, where it is called. */
export const checkNow = (name: StoringName, body: Uint8Array): Stored => checkRead(name, readJson(body));

export const checkHere: Check = async (name, body) => checkNow(name, body);
