import {
  problem,
  ROUTES,
  type AnswerOf,
  type BodyOf,
  type ParamsOf,
  type Problem,
  type RouteName,
} from '@steady-scatter/contract';
import type * as z from 'zod';

/** The server refused, and said why. */
export class ApiProblem extends Error {
  readonly problem: Problem;
  constructor(given: Problem) {
    super(given.detail);
    this.problem = given;
  }
}

/** The server could not be reached at all. */
export class Unreachable extends Error {}

type Input<Name extends RouteName> = { params?: ParamsOf<Name>; body?: BodyOf<Name>; signal?: AbortSignal };

async function readProblem(response: Response): Promise<Problem> {
  const given = problem.safeParse(await response.json().catch(() => null));
  if (given.success) return given.data;
  const { status } = response;
  return {
    type: 'about:blank',
    title: 'No proper answer',
    status,
    detail: `The server answered ${status} without saying why.`,
  };
}

/**
 * Calls one route of the contract and checks the answer against it.
 *
 * @throws ApiProblem when the server refuses; Unreachable when there is no connection
 */
export async function call<Name extends RouteName>(
  name: Name,
  { params, body, signal }: Input<Name> = {},
): Promise<AnswerOf<Name>> {
  const { method, path, answer } = ROUTES[name];
  const filled = path.replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(String((params as Record<string, unknown>)[key])),
  );
  let response: Response;
  try {
    response = await fetch(filled, {
      method: method.toUpperCase(),
      ...(body !== undefined && {
        body: JSON.stringify(body),
        headers: { 'Content-Type': 'application/json' },
      }),
      ...(signal && { signal }),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new Unreachable('The server does not answer.');
  }
  if (!response.ok) throw new ApiProblem(await readProblem(response));
  const json: unknown = response.status === 204 ? undefined : await response.json();
  return (answer as unknown as z.ZodType<AnswerOf<Name>>).parse(json);
}
