import { documentBatch, documentWrite, isLaterSchema, type KindName } from '@steady-scatter/contract';
import * as z from 'zod';
import { plainProblem } from '../problems/HttpProblem.ts';
import { invalid } from '../problems/invalid.ts';
import { kindNamed, storedOf, type Stored } from './stored.ts';

/** What is to be checked: one document of a kind, or a batch of them. */
export interface Asked {
  readonly kind: KindName;
  readonly verb: 'write' | 'addMany';
}

/** What a body stores. */
export interface Checked {
  /** The version last seen, 0 for a new one. */
  readonly version: number;
  readonly documents: readonly (Stored & { readonly id: string | null })[];
}

/**
 * Checks the body of a request that is stored, and works out what is stored of it.
 *
 * @param body JSON in UTF-8, as it came
 * @throws HttpProblem unreadable, invalid, later-version, too-much-work
 */
export type Check = (asked: Asked, body: Uint8Array) => Promise<Checked>;

/** It was written by a later version than this one is. */
export class LaterSchema extends Error {}

/**
 * Checks what was read already, where it is called.
 *
 * @throws ZodError with each wrong field; LaterSchema
 */
export function checkRead({ kind: name, verb }: Asked, raw: unknown): Checked {
  const kind = kindNamed(name);
  const batch = verb === 'addMany' ? documentBatch.parse(raw) : null;
  const one = batch ? null : documentWrite.parse(raw);
  const schemaVersion = (batch ?? one!).schemaVersion;
  if (isLaterSchema(kind, schemaVersion)) throw new LaterSchema();
  if (one) return { version: one.version, documents: [{ id: null, ...storedOf(kind, one) }] };
  return {
    version: 0,
    documents: batch!.documents.map(({ id, input }, index) =>
      Object.assign(
        { id },
        inPart(['documents', index], () => storedOf(kind, { schemaVersion, input })),
      ),
    ),
  };
}

/** Reads a part of something larger: what is wrong in it says where it stands. */
function inPart<Read>(path: readonly PropertyKey[], read: () => Read): Read {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof z.ZodError)) throw error;
    throw new z.ZodError(
      error.issues.map((issue) => Object.assign({}, issue, { path: [...path, ...issue.path] })),
    );
  }
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
export const checkHere: Check = async (asked, body) => {
  const read = readJson(body);
  if (!read) throw plainProblem('unreadable');
  try {
    return checkRead(asked, read.json);
  } catch (error) {
    if (error instanceof LaterSchema) throw plainProblem('later-version');
    throw error instanceof z.ZodError ? invalid(error) : error;
  }
};
