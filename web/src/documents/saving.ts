import { v7 as newId } from 'uuid';
import { connectionStore } from '../api/connection.ts';
import { NotTaken } from '../api/errors.ts';
import { aboutDocument, outbox, type DocumentEntry, type Saving } from '../outbox/index.ts';
import type { DocumentKind } from './documentKind.ts';
import { oneOf } from '@steady-scatter/words/things';

/** What is saved of a document: what it started from, and what it is now. */
export interface Save<Input> {
  readonly base: { readonly version: number; readonly input: unknown };
  readonly input: Input;
}

/** The same, with what it is shown as from then on. */
export interface SavingOf<Input> extends Saving {
  readonly shown: Input;
}

/**
 * Saves a document: on this device at once, on the server as soon as that answers.
 *
 * @param needs what has to be there before it
 */
export function saveDoc<Input>(
  { kind, parts }: Pick<DocumentKind<Input>, 'kind' | 'parts'>,
  id: string,
  save: Save<Input>,
  needs: readonly string[] = [],
): SavingOf<Input> {
  if (parts) return parts.save(id, save);
  const { base, input } = save;
  const saving = outbox.add({
    id: newId(),
    what: 'document',
    about: aboutDocument(kind.name, id),
    needs,
    name: kind.nameOf(input) || oneOf(kind.name),
    at: new Date().toISOString(),
    installation: connectionStore.get().installation,
    kind: kind.name as DocumentEntry['kind'],
    documentId: id,
    schemaVersion: kind.schemaVersion,
    base,
    input,
  });
  return { ...saving, shown: input };
}

/**
 * Saves something new, for who goes on with it.
 *
 * @throws NotTaken in words, where the server does not take it: it waits nowhere then
 */
export async function saveNew<Input>(
  kind: Pick<DocumentKind<Input>, 'kind' | 'parts'>,
  id: string,
  input: Input,
): Promise<void> {
  const outcome = await saveDoc(kind, id, { base: { version: 0, input }, input }).outcome;
  if (outcome.state !== 'refused') return;
  await outbox.dropAll(aboutDocument(kind.kind.name, id));
  throw new NotTaken(outcome.refusal.words);
}
