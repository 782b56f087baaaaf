import {
  INSTALLATION_HEADER,
  documentOf,
  documentRoutes,
  eventRoutes,
  problem,
  problemType,
  ROUTES,
  type AnswerOf,
  type BodyOf,
  type DocumentVerb,
  type EventKind,
  type EventVerb,
  type Kind,
  type ParamsOf,
  type Route,
  type RouteName,
  type StoredDocument,
} from '@steady-scatter/contract';
import * as z from 'zod';
import { say } from '@steady-scatter/words/common';
import { noteAnswer, noteForgotten, noteInstallation, notePaired, noteSilence } from './connection.ts';
import { ApiProblem, Unreachable } from './errors.ts';

type Query = Readonly<Record<string, string | number | readonly string[] | undefined>>;

/** What a route is called with. */
export interface CallInput {
  readonly params?: Readonly<Record<string, unknown>>;
  readonly query?: Query;
  readonly body?: unknown;
  readonly signal?: AbortSignal;
  /** The installation that it is meant for: another one refuses it. */
  readonly installation?: string | null;
}

/** Of a kind that this page does not know: what it says is said all the same. */
const unknownProblem = z.object({ title: z.string(), detail: z.string() });

/** Why the server refused. */
export async function readProblem(response: Response): Promise<ApiProblem> {
  const told: unknown = await response.json().catch(() => null);
  const { data: known } = problem.safeParse(told);
  if (known) return new ApiProblem(known);
  const { status } = response;
  const words = unknownProblem.safeParse(told).data ?? {
    title: say('common.noProperAnswer'),
    detail: say('common.answeredWithoutWhy', { status }),
  };
  return new ApiProblem({ type: problemType('failed'), status, title: words.title, detail: words.detail });
}

function addressOf(path: string, params: CallInput['params'], query: Query = {}): string {
  const filled = path.replace(/:(\w+)/g, (_, key: string) => encodeURIComponent(String(params?.[key])));
  const asked = new URLSearchParams();
  for (const [name, value] of Object.entries(query))
    for (const each of Array.isArray(value) ? (value as string[]) : value === undefined ? [] : [value])
      asked.append(name, String(each));
  return asked.size === 0 ? filled : `${filled}?${asked}`;
}

/** Longest that an answer is waited for, ms: a network that takes everything and gives nothing back is none. */
const LONGEST = { get: 15_000, other: 90_000 };

const inTime = (method: Route['method'], signal: AbortSignal | undefined): AbortSignal =>
  AbortSignal.any([AbortSignal.timeout(method === 'get' ? LONGEST.get : LONGEST.other), ...(signal ? [signal] : [])]); // prettier-ignore

/** Calls a route and checks the answer against it. */
async function callRoute(
  { method, path, answer }: Route,
  { params, query, body, signal, installation }: CallInput,
): Promise<unknown> {
  let response: Response;
  const askedAt = performance.now();
  try {
    response = await fetch(addressOf(path, params, query), {
      method: method.toUpperCase(),
      ...(body !== undefined && { body: JSON.stringify(body) }),
      headers: {
        ...(body !== undefined && { 'Content-Type': 'application/json' }),
        ...(installation && { [INSTALLATION_HEADER]: installation }),
      },
      signal: inTime(method, signal),
    });
    // An answer that breaks off on its way is none: nobody knows what it was.
    await response.clone().arrayBuffer();
  } catch (error) {
    if (signal?.aborted) throw error;
    noteSilence(askedAt);
    throw new Unreachable(say('common.serverSilent'));
  }
  // A server whose database is down cannot keep anything either.
  if (response.status === 503) noteSilence();
  else noteAnswer(response.headers.get('Date'), Date.now());
  noteInstallation(response.headers.get(INSTALLATION_HEADER));
  if (response.status === 401) notePaired(false);
  if (!response.ok) {
    const problem = await readProblem(response);
    if (problem.is('device-forgotten')) noteForgotten();
    throw problem;
  }
  const json: unknown = response.status === 204 ? undefined : await response.json();
  return answer.parse(json);
}

/**
 * Calls one route of the contract and checks the answer against it.
 *
 * @throws ApiProblem when the server refuses; Unreachable when there is no connection
 */
export const call = async <Name extends RouteName>(
  name: Name,
  input: Omit<CallInput, 'params' | 'body'> & { params?: ParamsOf<Name>; body?: BodyOf<Name> } = {},
): Promise<AnswerOf<Name>> => (await callRoute(ROUTES[name], input)) as AnswerOf<Name>;

/**
 * Calls one route of a stored kind. What stands there in place of what was to be written is read as one of the kind.
 *
 * @throws ApiProblem, Unreachable
 */
export async function callDocuments(kind: Kind, verb: DocumentVerb, input: CallInput): Promise<unknown> {
  try {
    return await callRoute(documentRoutes(kind)[verb], input);
  } catch (error) {
    if (error instanceof ApiProblem && error.problem.type === '/problems/changed-elsewhere')
      throw new ApiProblem(error.problem, theirsIn(kind, error.problem.theirs));
    throw error;
  }
}

/**
 * Calls one route of what is measured or done.
 *
 * @throws ApiProblem, Unreachable
 */
export const callEvents = (event: EventKind, verb: EventVerb, input: CallInput): Promise<unknown> =>
  callRoute(eventRoutes(event)[verb], input);

const theirsIn = (kind: Kind, theirs: unknown): ApiProblem['changedElsewhere'] => ({
  theirs: (documentOf(kind).safeParse(theirs).data as StoredDocument<never> | undefined) ?? null,
});
