import type { InputError } from '@steady-scatter/core/errors';
import { useQuery } from '@tanstack/react-query';
import { keptActs, type KeptActs, type KeptCalls } from '../api/keptActs.ts';
import { queries } from '../api/queries.ts';

/** A kept thing that is stored as it was typed. */
export interface Doc<Typed> {
  readonly id: string;
  readonly version: number;
  readonly isSample: boolean;
  readonly typed: Typed;
  readonly changedAt: string;
}

/** What is written of one: the version last seen, 0 for a new one. */
export interface DocWrite<Typed> {
  readonly version: number;
  readonly typed: Typed;
}

/** How one kind of such things is called, checked, fetched and kept. */
export interface DocKind<Typed extends { readonly name: string }>
  extends KeptCalls<Doc<Typed>, DocWrite<Typed>> {
  /** First part of its query keys and of the keys of its drafts. */
  readonly root: string;
  /** "product": in sentences. */
  readonly one: string;
  /** Where its list stands, and what that is called. */
  readonly home: { readonly path: string; readonly label: string };
  errorsOf(typed: Typed): readonly InputError[];
  /** What is kept in place of what was typed, so that nothing kept before is lost. */
  beforeKeep?(kept: Typed, typed: Typed): Typed;
  /** Somebody may be at it on another device: it is looked at again every few seconds. */
  isLive?(typed: Typed): boolean;
  /** What was held in the browser, perhaps by an earlier version of the app. */
  complete(held: Typed): Typed;
  list(signal: AbortSignal): Promise<Doc<Typed>[]>;
  read(id: string, signal: AbortSignal): Promise<Doc<Typed>>;
}

/** All kept things of a kind. */
export const useDocs = <Typed extends { readonly name: string }>(kind: DocKind<Typed>) =>
  useQuery<Doc<Typed>[]>({ queryKey: [kind.root], queryFn: ({ signal }) => kind.list(signal) }, queries);

const LOOK_AGAIN_MS = 3000;

/** One of them; not asked for while there is no id. */
export const useDoc = <Typed extends { readonly name: string }>(kind: DocKind<Typed>, id: string | null) =>
  useQuery<Doc<Typed>>(
    {
      queryKey: [kind.root, id],
      queryFn: ({ signal }) => kind.read(id ?? '', signal),
      enabled: id !== null,
      refetchInterval: ({ state: { data } }) => (data && kind.isLive?.(data.typed) ? LOOK_AGAIN_MS : false),
    },
    queries,
  );

/** Keeps, deletes and restores them. */
export const docActs = <Typed extends { readonly name: string }>(
  kind: DocKind<Typed>,
): KeptActs<Doc<Typed>, DocWrite<Typed>> => keptActs(kind.root, kind);
