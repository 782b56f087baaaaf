import { setTimeout as wait } from 'node:timers/promises';
import { ROUTES, type AnswerOf, type BodyOf, type ParamsOf, type RouteName } from '@steady-scatter/contract';
import express, { Router, type Request, type Response } from 'express';
import type { Actor } from '../actor.ts';
import type { Check } from '../checking/check.ts';
import type { Stored, StoringName } from '../checking/stored.ts';
import { plainProblem } from '../problems/HttpProblem.ts';
import { readAsked } from '../problems/invalid.ts';
import type { Disk } from '../running/disk.ts';
import type { ZodType } from 'zod';

/** Routes that are open to whoever asks. */
type OpenName = 'health' | 'here' | 'pair';

/** What a handler is given: checked params and body, and who acts. */
export interface Call<Name extends RouteName> {
  readonly params: ParamsOf<Name>;
  readonly body: Name extends StoringName ? undefined : BodyOf<Name>;
  /** What a body that is kept stores. */
  readonly stored: Name extends StoringName ? Stored : undefined;
  readonly actor: Name extends OpenName ? Actor | undefined : Actor;
  readonly request: Request;
  readonly response: Response;
}

/** One handler for each route of the contract. */
export type Handlers = { [Name in RouteName]: (call: Call<Name>) => Promise<AnswerOf<Name>> };

/** What every route is mounted with. */
export interface Mounting {
  readonly check: Check;
  readonly disk: Disk;
}

const isStoring = (name: RouteName): name is StoringName =>
  name.startsWith('write') || name === 'addProducts';

const BODY_LIMIT = '256kb';
/** A batch of products, a site with boundaries from files, or hundreds of test runs are larger than what is typed by hand. */
const LARGE_LIMIT = '4mb';
const LARGE: ReadonlySet<RouteName> = new Set(['addProducts', 'writeSite', 'writeCalibration']);
const JSON_ONLY = { type: ['application/json'] };

/** Reads the body of a request; what is kept is left as it came, and read where it is checked. */
function readerOf(name: RouteName) {
  if (ROUTES[name].method === 'get') return [];
  const limit = LARGE.has(name) ? LARGE_LIMIT : BODY_LIMIT;
  return [isStoring(name) ? express.raw({ ...JSON_ONLY, limit }) : express.json({ ...JSON_ONLY, limit })];
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

function mountOne(
  router: Router,
  name: RouteName,
  handle: (call: Call<never>) => Promise<unknown>,
  { check, disk }: Mounting,
): void {
  const { method, path, params, body } = ROUTES[name];
  const storedOf = (request: Request) =>
    check(name as StoringName, Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0));
  router[method](path, ...readerOf(name), async (request: Request, response: Response) => {
    const asked = {
      params: readAsked(params as ZodType, request.params),
      body: isStoring(name) ? undefined : readAsked(body as ZodType, request.body),
      actor: request.actor,
      request,
      response,
    };
    const answering = async () =>
      handle({ ...asked, stored: isStoring(name) ? await storedOf(request) : undefined } as Call<never>);
    const answer = await (method === 'get' ? answering() : whileThereIsRoom(disk, answering));
    if (answer === undefined) response.status(204).end();
    else response.json(answer);
  });
}

/** Mounts every route of the contract: parse, call, answer. */
export function mountRoutes(handlers: Handlers, mounting: Mounting): Router {
  const router = Router();
  for (const name of Object.keys(ROUTES) as RouteName[]) mountOne(router, name, handlers[name], mounting);
  return router;
}
