import { allRoutes, openApiPath, FILE_ROUTES } from '@steady-scatter/contract';
import type { Express } from 'express';
import request from 'supertest';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openHarness, type Harness } from './testing/harness.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await openHarness();
});
afterAll(() => harness.close());

interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle: { stack?: Layer[] };
}

/** Every route that Express really mounted, found in its router. */
function mounted(layers: readonly Layer[]): string[] {
  return layers.flatMap(({ route, handle }) => {
    if (!route) return mounted(handle.stack ?? []);
    return Object.keys(route.methods).map((method) => `${method} ${openApiPath(route.path)}`);
  });
}

it('describes just the routes that are mounted', async () => {
  const { body } = await request(harness.app).get('/api/openapi.json').expect(200);
  const described = Object.entries<object>(body.paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => `${method} ${path}`),
  );
  const { stack } = (harness.app as Express & { router: { stack: Layer[] } }).router;
  expect(described.toSorted()).toEqual(mounted(stack).toSorted());
  expect(described).toHaveLength(allRoutes().length + Object.keys(FILE_ROUTES).length);
});

it('describes what is sent and what comes back', async () => {
  const { body } = await request(harness.app).get('/api/openapi.json');
  const { put } = body.paths['/api/jobs/{id}'];
  const sent = put.requestBody.content['application/json'].schema;
  expect(sent.required).toEqual(['version', 'schemaVersion', 'input']);
  expect(sent.properties.input.properties.worksheet.properties.need.properties.nutrient.enum).toContain(
    'P2O5',
  );
  expect(put.parameters).toMatchObject([{ name: 'id', in: 'path', required: true }]);
  expect(body.paths['/api/jobs/{id}'].delete.responses[204]).toBeDefined();
  const { oneOf = [], anyOf = oneOf } = put.responses.default.content['application/problem+json'].schema;
  const wrong = anyOf.find((each: { properties: { type: { const: string } } }) => each.properties.type.const === '/problems/invalid'); // prettier-ignore
  expect(wrong.properties.errors.type).toBe('array');
});
