import { KINDS, type Kind, type StoredDocument } from '@steady-scatter/contract';
import { ApiProblem } from '../api/errors.ts';
import { callDocuments } from '../api/lazyCall.ts';
import { outbox, type DocumentEntry } from '../outbox/index.ts';
import { docActs } from './docs.ts';
import { sameInput } from './sameInput.ts';
import { inputOf } from './savedInput.ts';

/**
 * Writes one; that the server has it already, since its answer was lost, is as good. What was sent of it before and stands there is not what
 * somebody else wrote: this goes on from that.
 */
async function write(kind: Kind, entry: DocumentEntry): Promise<StoredDocument<unknown>> {
  const { documentId: id, schemaVersion, base, input, installation } = entry;
  try {
    return (await callDocuments(kind, 'write', {
      params: { id },
      body: { version: base.version, schemaVersion, input },
      installation,
    })) as StoredDocument<unknown>;
  } catch (error) {
    const theirs = error instanceof ApiProblem ? error.changedElsewhere?.theirs : null;
    const stands = (input: unknown) => theirs && sameInput(theirs.input, inputOf(kind, { ...entry, input }));
    if (theirs && stands(entry.input)) return theirs;
    if (theirs && entry.unanswered?.some(stands)) return write(kind, { ...entry, base: theirs });
    throw error;
  }
}

/** Sends a document that was saved here; what was saved of it meanwhile goes on from what stands there then. */
export async function sendDocument(entry: DocumentEntry): Promise<void> {
  const kind = KINDS[entry.kind] as unknown as Kind;
  const stored = await write(kind, entry);
  await outbox.rebase(entry.about, { version: stored.version, input: stored.input }, entry.base.version);
  await docActs<unknown>({ kind }).adopt(stored);
}
