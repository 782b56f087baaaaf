import {
  calibration,
  job,
  problem,
  problemType,
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

/** What stands on the server in place of what was to be written. */
const theirs = z.union([job, product, soilTest, ruleSet, site, rig, calibration, widthTest]).nullable();

/** Of a kind that this page does not know: what it says is said all the same. */
const unknownProblem = z.object({ title: z.string(), detail: z.string() });

/** Why the server refused. */
export async function readProblem(response: Response): Promise<ApiProblem> {
  const told: unknown = await response.json().catch(() => null);
  const { data: known } = problem.safeParse(told);
  if (known?.type === problemType('changed-elsewhere'))
    return new ApiProblem(known, { theirs: theirs.safeParse(known.theirs).data ?? null });
  if (known) return new ApiProblem(known);
  const { status } = response;
  const words = unknownProblem.safeParse(told).data ?? {
    title: 'No proper answer',
    detail: `The server answered ${status} without saying why.`,
  };
  return new ApiProblem({ type: problemType('failed'), status, title: words.title, detail: words.detail });
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
