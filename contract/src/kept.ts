import * as z from 'zod';
import type { Route } from './route.ts';

/** What is written of a kept thing that is stored as it was typed: `version` is the one last seen, 0 for a new one. */
export const writeOf = <Typed extends z.ZodType>(typed: Typed) =>
  z.strictObject({ version: z.int().min(0), typed });

/** Such a thing as kept. */
export const keptOf = <Typed extends z.ZodType>(typed: Typed) =>
  z.object({
    id: z.string(),
    version: z.int(),
    /** Part of the demo: made up, and marked so wherever it is shown. */
    isSample: z.boolean(),
    typed,
    changedAt: z.string(),
  });

/** How a kind of thing is called in names, paths and sentences. */
interface Names<One extends string, Many extends string> {
  readonly one: One;
  readonly many: Many;
  readonly path: `/api/${string}`;
  readonly words: { readonly one: string; readonly many: string };
}

type KeptRoutes<
  One extends string,
  Many extends string,
  Wire extends z.ZodType,
  Listed extends z.ZodType,
  Write extends z.ZodType,
> = {
  readonly [Name in `list${Many}`]: RouteOf<'get', typeof nothing, typeof none, z.ZodArray<Listed>>;
} & { readonly [Name in `read${One}`]: RouteOf<'get', typeof byId, typeof none, Wire> } & {
  readonly [Name in `write${One}`]: RouteOf<'put', typeof byId, Write, Wire>;
} & { readonly [Name in `delete${One}`]: RouteOf<'delete', typeof byId, typeof none, typeof none> } & {
  readonly [Name in `restore${One}`]: RouteOf<'post', typeof byId, typeof none, Wire>;
};

type RouteOf<
  Method extends Route['method'],
  Params extends z.ZodType,
  Body extends z.ZodType,
  Answer extends z.ZodType,
> = Omit<Route, 'method' | 'params' | 'body' | 'answer'> & {
  readonly method: Method;
  readonly params: Params;
  readonly body: Body;
  readonly answer: Answer;
};

export const none = z.undefined();
export const nothing = z.object({});
/** Ids are UUIDs of version 7, made by the client, so that a repeated write is harmless. */
const byId = z.object({ id: z.uuid({ error: 'This has to be an id: a UUID.' }) });

/** The five routes of a kind of thing that a crew keeps, changes and deletes with undo. */
export function keptRoutes<
  One extends string,
  Many extends string,
  Wire extends z.ZodType,
  Listed extends z.ZodType,
  Write extends z.ZodType,
>(
  { one, many, path, words }: Names<One, Many>,
  { wire, listed, write }: { wire: Wire; listed: Listed; write: Write },
): KeptRoutes<One, Many, Wire, Listed, Write> {
  const single = { path: `${path}/:id`, params: byId, body: none } as const;
  return {
    [`list${many}`]: {
      method: 'get',
      path,
      summary: `Lists the ${words.many} that are kept`,
      params: nothing,
      body: none,
      answer: z.array(listed),
    },
    [`read${one}`]: {
      ...single,
      method: 'get',
      summary: `Reads one ${words.one} as it was typed`,
      answer: wire,
    },
    [`write${one}`]: {
      ...single,
      method: 'put',
      summary: `Keeps a new ${words.one} or changes one; the same write twice is harmless`,
      body: write,
      answer: wire,
    },
    [`delete${one}`]: {
      ...single,
      method: 'delete',
      summary: `Takes a ${words.one} off the list; it can be restored`,
      answer: none,
    },
    [`restore${one}`]: {
      ...single,
      method: 'post',
      path: `${path}/:id/restore`,
      summary: `Puts a deleted ${words.one} back on the list`,
      answer: wire,
    },
  } as unknown as KeptRoutes<One, Many, Wire, Listed, Write>;
}
