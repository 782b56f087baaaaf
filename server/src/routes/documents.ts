import {
  documentRoutes,
  type DocumentVerb,
  type Kind,
  type KindName,
  type ListQuery,
} from '@steady-scatter/contract';
import type { Router } from 'express';
import type { Actor } from '../actor.ts';
import type { Asked, Checked } from '../checking/check.ts';
import type { DocumentService } from '../services/documents.ts';
import { LARGE_LIMIT, mountRoute, type Asking, type Mounting } from './mount.ts';

/** What the routes of a kind are given, once it is known who acts. */
interface DocumentCall {
  readonly actor: Actor;
  readonly id: string;
  readonly query: ListQuery & { readonly ids: readonly string[] };
  readonly body: { readonly ids: readonly string[] };
  /** What the body stores, checked. */
  checked(): Promise<Checked>;
}

const handlersOf = (
  kind: Kind,
  documents: DocumentService,
): Readonly<Record<DocumentVerb, (call: DocumentCall) => Promise<unknown>>> => ({
  list: ({ actor, query }) => documents.list(actor, kind, query),
  removed: async ({ actor }) => ({ items: await documents.removed(actor, kind) }),
  several: ({ actor, query }) => documents.several(actor, kind, query.ids),
  read: ({ actor, id }) => documents.read(actor, kind, id),
  raw: ({ actor, id }) => documents.raw(actor, kind, id),
  write: async ({ actor, id, checked }) => documents.write(actor, kind, id, await checked()),
  remove: ({ actor, id }) => documents.remove(actor, kind, id),
  restore: ({ actor, id }) => documents.restore(actor, kind, id),
  addMany: async ({ actor, checked }) => documents.addMany(actor, kind, await checked()),
  removeMany: ({ actor, body }) => documents.removeMany(actor, kind, body.ids),
});

const isStoring = (verb: DocumentVerb): verb is Asked['verb'] => verb === 'write' || verb === 'addMany';
const isLarge = (verb: DocumentVerb, kind: Kind): boolean => verb === 'addMany' || verb === 'removeMany' || (verb === 'write' && kind.isLarge === true); // prettier-ignore

/** Mounts the routes of one kind. */
export function mountDocuments(
  router: Router,
  kind: Kind,
  documents: DocumentService,
  { check, disk }: Mounting,
): void {
  const routes = documentRoutes(kind);
  const handlers = handlersOf(kind, documents);
  for (const verb of Object.keys(routes) as DocumentVerb[]) {
    const handle = ({ actor, params, bytes, ...asking }: Asking) =>
      handlers[verb]({
        ...(asking as unknown as Pick<DocumentCall, 'query' | 'body'>),
        actor: actor!,
        id: (params as { id?: string }).id ?? '',
        checked: () => check({ kind: kind.name as KindName, verb: verb as Asked['verb'] }, bytes),
      });
    mountRoute(router, routes[verb], handle, { disk, isRaw: isStoring(verb), ...(isLarge(verb, kind) && { limit: LARGE_LIMIT }) }); // prettier-ignore
  }
}
