import * as z from 'zod';
import { problem } from './problem.ts';
import type { Route } from './route.ts';
import { FILE_ROUTES, ROUTES } from './routes.ts';

type Json = Record<string, unknown>;

/** JSON Schema of what a client sends or gets. Checks that only code can make are left out; the sentence says them. */
const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Json => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
  return rest;
};

const json = (schema: Json) => ({ content: { 'application/json': { schema } } });
const isNone = (schema: z.ZodType): boolean => schema.safeParse(undefined).success;

/** '/api/jobs/:id' -> '/api/jobs/{id}' */
export const openApiPath = (path: string): string => path.replace(/:(\w+)/g, '{$1}');

const refused: Json = {
  description: 'Refused, with the reason',
  content: { 'application/problem+json': { schema: schemaOf(problem, 'output') } },
};

function operation(name: string, { path, summary, body, answer }: Route): Json {
  const names = [...path.matchAll(/:(\w+)/g)].map(([, key]) => key);
  return {
    operationId: name,
    summary,
    parameters: names.map((key) => ({
      name: key,
      in: 'path',
      required: true,
      schema: { type: 'string', format: 'uuid' },
    })),
    ...(isNone(body) ? {} : { requestBody: { required: true, ...json(schemaOf(body, 'input')) } }),
    responses: {
      ...(isNone(answer)
        ? { 204: { description: 'Done' } }
        : { 200: { description: 'The answer', ...json(schemaOf(answer, 'output')) } }),
      default: refused,
    },
  };
}

/** A route that hands over a file: out with a GET, in with a POST. */
function fileOperation(
  name: string,
  { method, summary, type }: (typeof FILE_ROUTES)[keyof typeof FILE_ROUTES],
): Json {
  const file = { content: { [type]: { schema: { type: 'string', format: 'binary' } } } };
  return {
    operationId: name,
    summary,
    ...(method === 'post' && { requestBody: { required: true, ...file } }),
    responses: {
      ...(method === 'get'
        ? { 200: { description: 'The file', ...file } }
        : { 204: { description: 'Done' } }),
      default: refused,
    },
  };
}

/** The whole API as an OpenAPI 3.1 document, from the route table alone. */
export function openApi(): Json {
  const paths: Record<string, Json> = {};
  for (const [name, route] of Object.entries<Route>(ROUTES)) {
    const path = openApiPath(route.path);
    paths[path] = { ...paths[path], [route.method]: operation(name, route) };
  }
  for (const [name, route] of Object.entries(FILE_ROUTES))
    paths[route.path] = { [route.method]: fileOperation(name, route) };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Steady Scatter',
      version: '1',
      description: 'Jobs of a crew: what was typed, and what it works out to.',
    },
    paths,
  };
}
