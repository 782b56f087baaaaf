import { oneOf } from '@steady-scatter/words/things';
import type { Shape } from '@steady-scatter/contract';
import { isJson, upgraded, type Json } from '@steady-scatter/core/fields';
import type { DocumentRow } from '../models/index.ts';
import { HttpProblem } from '../problems/HttpProblem.ts';

/** What is stored cannot be read any more: a fault of ours, never of whoever asked. The log names the row. */
export class UnreadableRow extends HttpProblem<'unreadable-document'> {
  constructor(what: string, id: string, cause: unknown) {
    super('unreadable-document', {});
    this.cause = new Error(`The ${what} ${id} is stored in a way that cannot be read.`, { cause });
  }
}

/**
 * What was typed, brought to the current version of its schema. Its texts are not looked at again.
 *
 * @throws UnreadableRow
 */
export function readStored(
  kind: Omit<Shape, 'evaluate'>,
  { id, schemaVersion, input }: Pick<DocumentRow, 'id' | 'schemaVersion' | 'input'>,
): Json {
  try {
    if (schemaVersion > kind.schemaVersion)
      throw new Error(`It is of version ${schemaVersion}, later than ${kind.schemaVersion}.`);
    const stored: unknown = JSON.parse(input);
    if (!isJson(stored)) throw new Error('It is no table of fields.');
    return kind.schema.parse(upgraded(kind.upgrades, schemaVersion, stored)) as Json;
  } catch (cause) {
    throw new UnreadableRow(oneOf(kind.name), id, cause);
  }
}

/** The same; null where it cannot be read. */
export function storedOrNull(...[kind, row]: Parameters<typeof readStored>): Json | null {
  try {
    return readStored(kind, row);
  } catch (error) {
    if (error instanceof UnreadableRow) return null;
    throw error;
  }
}
