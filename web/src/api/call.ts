import {
  calibration,
  job,
  problem,
  product,
  rig,
  ruleSet,
  site,
  soilTest,
  widthTest,
  ROUTES,
  type AnswerOf,
  type BodyOf,
  type ParamsOf,
  type RouteName,
} from '@steady-scatter/contract';
import * as z from 'zod';
import { noteAnswer, notePaired, noteSilence } from './connection.ts';
import { ApiProblem, Unreachable } from './errors.ts';

type Input<Name extends RouteName> = { params?: ParamsOf<Name>; body?: BodyOf<Name>; signal?: AbortSignal };

const conflict = z.object({
  title: z.literal('Changed elsewhere'),
  theirs: z.union([job, product, soilTest, ruleSet, site, rig, calibration, widthTest]).nullable(),
});

/** Why the server refused. */
export async function readProblem(response: Response): Promise<ApiProblem> {
  const said: unknown = await response.json().catch(() => null);
  const given = problem.safeParse(said);
  if (given.success) return new ApiProblem(given.data, conflict.safeParse(said).data ?? null);
  const { status } = response;
  const detail = `The server answered ${status} without saying why.`;
  return new ApiProblem({ type: 'about:blank', title: 'No proper answer', status, detail });
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
    noteSilence();
    throw new Unreachable('The server does not answer.');
  }
  // A server whose database is down cannot keep anything either.
  if (response.status === 503) noteSilence();
  else noteAnswer(response.headers.get('Date'), Date.now());
  if (response.status === 401) notePaired(false);
  if (!response.ok) throw await readProblem(response);
  const json: unknown = response.status === 204 ? undefined : await response.json();
  return (answer as unknown as z.ZodType<AnswerOf<Name>>).parse(json);
}
