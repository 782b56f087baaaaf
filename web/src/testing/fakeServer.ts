import {
  problemType,
  type EventAppend,
  type Kind,
  type ProblemCode,
  type StoredDocument,
} from '@steady-scatter/contract';
import type { call, callDocuments, callEvents } from '../api/lazyCall.ts';
import { noteAnswer, noteSilence } from '../api/connection.ts';
import { ApiProblem, Unreachable } from '../api/errors.ts';

type Document = StoredDocument<Record<string, unknown>>;

const refusal = (code: ProblemCode, status: number, detail: string) =>
  new ApiProblem({ type: problemType(code), status, title: detail, detail } as never);

const elsewhere = (theirs: Document | null) =>
  new ApiProblem({ type: problemType('changed-elsewhere'), status: 409, title: '', detail: 'Changed elsewhere.', theirs }, { theirs } as never); // prettier-ignore

/**
 * As much of a server as pages ask for: documents with their versions, rows that are appended, and a connection that breaks off.
 *
 * @example vi.mocked(callDocuments).mockImplementation(server.documents)
 */
export function fakeServer() {
  const documents = new Map<string, Document & { readonly kind: string }>();
  const rows = new Map<string, EventAppend>();
  /** Of which kind each row is. */
  const events = new Map<string, string>();
  const dropped = new Map<string, Document & { readonly kind: string }>();
  const answer = () => {
    if (server.isSilent) {
      noteSilence();
      throw new Unreachable('The server does not answer.');
    }
    noteAnswer(null, Date.now());
  };
  const server = {
    /** Nothing answers. */
    isSilent: false,
    /** Why nothing is taken; null: it is. */
    refuses: null as string | null,
    rows,
    /** Everything that was asked for, as kind and verb. */
    asked: [] as string[],
    of: (kind: string) => [...documents.values()].filter((each) => each.kind === kind),
    put(kind: Kind, id: string, input: object, version = 1): void {
      documents.set(id, { id, kind: kind.name, version, schemaVersion: kind.schemaVersion, isSample: false, input: input as Document['input'], changedAt: '' }); // prettier-ignore
    },
    /** It answers again, and is found to. */
    comeBack(): void {
      server.isSilent = false;
      noteAnswer(null, Date.now());
    },
    /** Deletes one: who changed it is told so. */
    drop(id: string): void {
      const there = documents.get(id);
      if (there) dropped.set(id, there);
      documents.delete(id);
    },
    documents: (async (kind: Kind, verb, { params = {}, query = {}, body }) => {
      server.asked.push(`${kind.name} ${verb}`);
      answer();
      const id = (params['id'] ?? '') as string;
      const there = documents.get(id);
      if (verb === 'list') {
        const [column, value] = ((query['filter'] as string[] | undefined)?.[0] ?? '').split(':');
        const items = server.of(kind.name).filter(({ input }) => !column || input[column] === value);
        return {
          items: items.map((each) => ({ ...each, isReadable: true })),
          next: null,
          total: items.length,
        };
      }
      if (verb === 'several')
        return { documents: String(query['ids']).split(',').flatMap((each) => documents.get(each) ?? []), unreadable: [] }; // prettier-ignore
      if (verb === 'write') {
        const { version, input } = body as { version: number; input: object };
        if (server.refuses !== null) throw refusal('would-lose', 422, server.refuses);
        if (dropped.has(id) && version > 0) throw elsewhere(null);
        const isSame = there && JSON.stringify(there.input) === JSON.stringify(input);
        if (there && !isSame && there.version !== version) throw elsewhere(there);
        if (!isSame) server.put(kind, id, input, version + 1);
        return documents.get(id);
      }
      if (verb === 'restore' && dropped.has(id)) {
        const back = { ...dropped.get(id)!, version: dropped.get(id)!.version + 1 };
        dropped.delete(id);
        documents.set(id, back);
        return back;
      }
      if (!there) throw refusal('not-found', 404, 'There is nothing here.');
      if (verb === 'remove') documents.delete(id);
      return there;
    }) as typeof callDocuments,
    events: (async (event, verb, { query = {}, body }) => {
      server.asked.push(`${event.name} ${verb}`);
      answer();
      if (verb === 'append') {
        const row = body as EventAppend;
        if (server.refuses !== null) throw refusal('invalid', 400, server.refuses);
        rows.set(row.id, row);
        events.set(row.id, event.name);
        documents.delete(row.id);
        return row;
      }
      const own = [...rows.values()].filter(({ id, subject }) => (events.get(id) ?? event.name) === event.name && [undefined, subject].includes(query['subject'] as string)); // prettier-ignore
      return { events: own, unreadable: [], next: null };
    }) as typeof callEvents,
    /** The other routes: an empty shelf, and nothing else. */
    call: (async (name) => {
      server.asked.push(name);
      answer();
      if (name === 'stock') return [];
      throw refusal('not-found', 404, 'There is nothing here.');
    }) as typeof call,
  };
  return server;
}
