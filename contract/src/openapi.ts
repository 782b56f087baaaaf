import * as z from 'zod';
import { problem } from './problem.ts';
import { documentRoutes } from './documents.ts';
import { KINDS } from './kinds/index.ts';
import type { Kind } from './kinds/kind.ts';
import { eventRoutes, type EventKind } from './events/event.ts';
import { EVENTS } from './events/index.ts';
import { photoFacts } from './photos.ts';
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

/** What stands behind the question mark, field by field. */
function queryParameters(query: z.ZodType): Json[] {
  const { properties = {}, required = [] } = schemaOf(query, 'input') as {
    properties?: Json;
    required?: string[];
  };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
}

function operation(name: string, { path, summary, query, body, answer }: Route): Json {
  const names = [...path.matchAll(/:(\w+)/g)].map(([, key]) => key);
  return {
    operationId: name,
    summary,
    parameters: [
      ...names.map((key) => ({
        name: key,
        in: 'path',
        required: true,
        schema: { type: 'string', format: 'uuid' },
      })),
      ...queryParameters(query),
    ],
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
  { method, path, summary, type }: (typeof FILE_ROUTES)[keyof typeof FILE_ROUTES],
): Json {
  const file = { content: { [type]: { schema: { type: 'string', format: 'binary' } } } };
  return {
    operationId: name,
    summary,
    ...(path.includes(':id') && { parameters: [{ name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }] }),
    ...(method !== 'get' && { requestBody: { required: true, ...file } }),
    responses: {
      ...(method === 'get'
        ? { 200: { description: 'The file', ...file } }
        : method === 'put'
          ? { 200: { description: 'What is known of it', ...json(schemaOf(photoFacts, 'output')) } }
          : { 204: { description: 'Done' } }),
      default: refused,
    },
  };
} // prettier-ignore

/** Every route with its name: those of kinds and events are called `products.list`, `testRuns.append` and the like. */
export const allRoutes = (): [string, Route][] => [
  ...Object.entries<Route>(ROUTES),
  ...Object.values<Kind>(KINDS).flatMap((kind) =>
    Object.entries<Route>(documentRoutes(kind)).map(([verb, route]): [string, Route] => [
      `${kind.name}.${verb}`,
      route,
    ]),
  ),
  ...Object.values<EventKind>(EVENTS).flatMap((event) =>
    Object.entries<Route>(eventRoutes(event)).map(([verb, route]): [string, Route] => [
      `${event.name}.${verb}`,
      route,
    ]),
  ),
];

/** The whole API as an OpenAPI 3.1 document, from the route tables alone. */
export function openApi(): Json {
  const paths: Record<string, Json> = {};
  const add = ({ path, method }: { path: string; method: string }, said: Json) => {
    const at = openApiPath(path);
    paths[at] = { ...paths[at], [method]: said };
  };
  for (const [name, route] of allRoutes()) add(route, operation(name, route));
  for (const [name, route] of Object.entries(FILE_ROUTES)) add(route, fileOperation(name, route));
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
