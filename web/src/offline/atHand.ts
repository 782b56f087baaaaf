import {
  KIND_NAMES,
  KINDS,
  type DocumentVerb,
  type EventKind,
  type Kind,
  type StoredDocument,
} from '@steady-scatter/contract';
import { say } from '@steady-scatter/words/common';
import type { AtHand } from '../api/atHand.ts';
import type { CallInput } from '../api/call.ts';
import { Unreachable } from '../api/errors.ts';
import { inputOf } from '../documents/savedInput.ts';
import { outbox, type DocumentEntry } from '../outbox/index.ts';
import { documentsOf, rowsOf, type Kept } from './keep.ts';
import { listed } from './lines.ts';

const notHere = () => new Unreachable(say('common.silentNotHere'));

/** What was saved here of a kind and waits. */
const waitingOf = (kind: Kind): DocumentEntry[] =>
  outbox
    .get()
    .flatMap(([, { entry, refusal }]) =>
      entry.what === 'document' && entry.kind === kind.name && !refusal ? [entry] : [],
    );

/** A document as it was saved here. */
function savedHere(kind: Kind, entry: DocumentEntry, stored: Kept | undefined): Kept | null {
  const input = inputOf(kind, entry);
  if (input === null) return stored ?? null;
  const { documentId: id, base, at } = entry;
  const doc = stored?.doc ?? {
    id,
    version: base.version,
    schemaVersion: kind.schemaVersion,
    isSample: false,
    changedAt: at,
  };
  return { doc: { ...doc, input }, line: null };
}

/** Every document of a kind that is at hand, as it was saved last. */
async function allOf(kind: Kind): Promise<Kept[]> {
  const all = new Map(await documentsOf(kind).entries());
  for (const entry of waitingOf(kind)) {
    const saved = savedHere(kind, entry, all.get(entry.documentId));
    if (saved) all.set(entry.documentId, saved);
  }
  return [...all.values()];
}

async function someOf(kind: Kind, ids: readonly string[]): Promise<StoredDocument<unknown>[]> {
  const stored = await documentsOf(kind).getMany(ids);
  const saved = new Map(waitingOf(kind).map((entry) => [entry.documentId, entry]));
  return ids.flatMap((id, index) => {
    const entry = saved.get(id);
    const kept = entry ? savedHere(kind, entry, stored[index]) : stored[index];
    return kept ? [kept.doc] : [];
  });
}

async function documents(
  kind: Kind,
  verb: DocumentVerb,
  { params = {}, query = {} }: CallInput,
): Promise<unknown> {
  if (verb === 'several')
    return { documents: await someOf(kind, String(query['ids']).split(',')), unreadable: [] };
  if (verb === 'list') {
    const items = listed(kind, await allOf(kind), query);
    return { items, next: null, total: items.length };
  }
  const [doc] = await someOf(kind, [String(params['id'])]);
  if (!doc) throw notHere();
  return doc;
}

async function events({ name }: EventKind, _verb: unknown, { query = {} }: CallInput): Promise<unknown> {
  const subjects = query['subject'] === undefined ? null : String(query['subject']).split(',');
  const rows = (await rowsOf(name).entries()).map(([, row]) => row);
  return {
    events: rows.filter(({ subject }) => subjects?.includes(subject) ?? true),
    unreadable: [],
    next: null,
  };
}

async function search(q: string, limit: number): Promise<unknown> {
  const named = KIND_NAMES.map((name): Kind => KINDS[name] as unknown as Kind).filter(
    ({ isNameless }) => !isNameless,
  );
  const found = await Promise.all(
    named.map(async (kind) =>
      listed(kind, await allOf(kind), { q, sort: 'name' }).map(({ id, name, isSample, onDay = null }) => ({
        kind: kind.name,
        id,
        name,
        found: null,
        onDay,
        isSample,
      })),
    ),
  );
  return { hits: found.flat().slice(0, limit) };
}

/** What came is at hand from now on: it was looked at, so that it may be looked for again. */
async function noteSeen(
  kind: Kind,
  verb: DocumentVerb,
  { params = {} }: CallInput,
  answer: unknown,
): Promise<void> {
  if (verb === 'remove') return documentsOf(kind).removeMany([String(params['id'])]);
  const one = verb === 'read' || verb === 'write' || verb === 'restore';
  const docs = one ? [answer] : verb === 'several' ? (answer as { documents: unknown[] }).documents : [];
  const seen = docs as StoredDocument<unknown>[];
  const known = await documentsOf(kind).getMany(seen.map(({ id }) => id));
  // The line that the server told goes with the version that it is of.
  const rows = seen.map((doc, index): [string, Kept] => [
    doc.id,
    { doc, line: known[index]?.doc.version === doc.version ? known[index].line : null },
  ]);
  if (rows.length > 0) await documentsOf(kind).setMany(rows);
}

/** What this device answers where the server does not. */
export const deviceAnswers: AtHand = {
  documents,
  events,
  search,
  seen: (...of) => void noteSeen(...of),
  seenRows: async ({ name }, rows) => void (await rowsOf(name).setMany(rows.map((row) => [row.id, row]))),
};
