import { setTimeout as wait } from 'node:timers/promises';
import {
  ROUTES,
  type AnswerOf,
  type BodyOf,
  type ParamsOf,
  type QueryOf,
  type Route,
  type RouteName,
} from '@steady-scatter/contract';
import express, { type Request, type Response, type Router } from 'express';
import type { Actor } from '../actor.ts';
import type { Check } from '../checking/check.ts';
import { plainProblem } from '../problems/HttpProblem.ts';
import { readAsked } from '../problems/invalid.ts';
import type { Disk } from '../running/disk.ts';

/** Routes that are open to whoever asks. */
type OpenName = 'health' | 'here' | 'pair';

/** What a handler is given: checked params, query and body, and who acts. */
export interface Call<Name extends RouteName> {
  readonly params: ParamsOf<Name>;
  readonly query: QueryOf<Name>;
  readonly body: BodyOf<Name>;
  readonly actor: Name extends OpenName ? Actor | undefined : Actor;
  readonly request: Request;
  readonly response: Response;
}

/** One handler for each route of the contract that is not of a stored kind. */
export type Handlers = { [Name in RouteName]: (call: Call<Name>) => Promise<AnswerOf<Name>> };

/** What every route is mounted with. */
export interface Mounting {
  readonly check: Check;
  readonly disk: Disk;
}

/** What a route of any kind is given; `bytes` where its body is checked elsewhere. */
export interface Asking {
  readonly params: unknown;
  readonly query: unknown;
  readonly body: unknown;
  readonly bytes: Uint8Array;
  readonly actor: Actor | undefined;
  readonly request: Request;
  readonly response: Response;
}

/** How a route is mounted. */
interface How {
  /** Most that its body may be. */
  readonly limit?: string;
  /** Its body is left as it came, and read where it is checked. */
  readonly isRaw?: boolean;
}

const BODY_LIMIT = '256kb';
/** A batch, or a site with boundaries from files, is larger than what is typed by hand. */
export const LARGE_LIMIT = '4mb';
const JSON_ONLY = { type: ['application/json'] };

function readerOf({ method }: Route, { limit = BODY_LIMIT, isRaw = false }: How) {
  if (method === 'get') return [];
  return [isRaw ? express.raw({ ...JSON_ONLY, limit }) : express.json({ ...JSON_ONLY, limit })];
}

/** How often a write that is not done yet looks whether the disk has become full, ms. */
const LOOK_MS = 500;

/** Answers a write within seconds where the disk is full: the database itself would wait for room. */
async function whileThereIsRoom<Answer>(disk: Disk, write: () => Promise<Answer>): Promise<Answer> {
  if (disk.isFull()) throw plainProblem('disk-full');
  const ended = new AbortController();
  const watching = (async () => {
    for (;;) {
      // oxlint-disable-next-line no-await-in-loop -- one look after the other
      await wait(LOOK_MS, undefined, { signal: ended.signal, ref: false });
      if (disk.isFull()) throw plainProblem('disk-full');
    }
  })();
  watching.catch(() => undefined);
  try {
    return await Promise.race([write(), watching]);
  } finally {
    ended.abort();
  }
}

/** Mounts one route: parse, call, answer. */
export function mountRoute(
  router: Router,
  route: Route,
  handle: (asking: Asking) => Promise<unknown>,
  { disk, ...how }: How & { readonly disk: Disk },
): void {
  const { method, path, params, query, body } = route;
  router[method](path, ...readerOf(route, how), async (request: Request, response: Response) => {
    const asking = {
      params: readAsked(params, request.params),
      query: readAsked(query, request.query),
      body: how.isRaw ? undefined : readAsked(body, request.body),
      bytes: Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0),
      actor: request.actor,
      request,
      response,
    };
    const answering = () => handle(asking);
    const answer = await (method === 'get' ? answering() : whileThereIsRoom(disk, answering));
    if (answer === undefined) response.status(204).end();
    else response.json(answer);
  });
}

/** Mounts every route of the contract that is not of a stored kind. */
export function mountRoutes(router: Router, handlers: Handlers, { disk }: Mounting): void {
  for (const name of Object.keys(ROUTES) as RouteName[])
    mountRoute(router, ROUTES[name], (asking) => handlers[name](asking as never), { disk });
}
