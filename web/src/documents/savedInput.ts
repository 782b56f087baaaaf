import type { Kind } from '@steady-scatter/contract';
import { isJson, upgraded } from '@steady-scatter/core/fields';
import type { DocumentEntry } from '../outbox/index.ts';

/** What waits of a document, brought up to date; null where this version cannot use it. */
export function inputOf<Input>(
  kind: Pick<Kind<string, Input>, 'schema' | 'upgrades'>,
  { schemaVersion, input }: DocumentEntry,
): Input | null {
  if (!isJson(input)) return null;
  const read = kind.schema.safeParse(upgraded(kind.upgrades, schemaVersion, input));
  return read.data ?? null;
}
