import * as z from 'zod';
import { job, jobId, jobSummary, jobWrite } from './jobs.ts';
import { product, productId, productWrite } from './products.ts';

/** One route of the API: the whole of what both sides know about it. */
export interface Route {
  readonly method: 'get' | 'put' | 'post' | 'delete';
  /** Express path, with `:id` and the like. */
  readonly path: `/api/${string}`;
  readonly summary: string;
  readonly params: z.ZodType;
  readonly body: z.ZodType;
  readonly answer: z.ZodType;
}

const none = z.undefined();
const oneJob = z.object({ id: jobId });
const oneProduct = z.object({ id: productId });

/** Health of the process and its database. */
export const health = z.object({ status: z.literal('ok'), database: z.literal('ok') });

/** The description of the API; its own shape is OpenAPI's business. */
const openApiDocument = z.record(z.string(), z.unknown());

/** Every route. The server mounts them from here, the web calls them from here. */
export const ROUTES = {
  health: {
    method: 'get',
    path: '/api/health',
    summary: 'Says whether the server and its database answer',
    params: z.object({}),
    body: none,
    answer: health,
  },
  describe: {
    method: 'get',
    path: '/api/openapi.json',
    summary: 'Describes this API as OpenAPI 3.1',
    params: z.object({}),
    body: none,
    answer: openApiDocument,
  },
  listJobs: {
    method: 'get',
    path: '/api/jobs',
    summary: 'Lists the jobs that are kept, the latest day first',
    params: z.object({}),
    body: none,
    answer: z.array(jobSummary),
  },
  readJob: {
    method: 'get',
    path: '/api/jobs/:id',
    summary: 'Reads one job as it was typed',
    params: oneJob,
    body: none,
    answer: job,
  },
  writeJob: {
    method: 'put',
    path: '/api/jobs/:id',
    summary: 'Keeps a new job or changes one; the same write twice is harmless',
    params: oneJob,
    body: jobWrite,
    answer: job,
  },
  deleteJob: {
    method: 'delete',
    path: '/api/jobs/:id',
    summary: 'Takes a job off the list; it can be restored',
    params: oneJob,
    body: none,
    answer: none,
  },
  restoreJob: {
    method: 'post',
    path: '/api/jobs/:id/restore',
    summary: 'Puts a deleted job back on the list',
    params: oneJob,
    body: none,
    answer: job,
  },
  listProducts: {
    method: 'get',
    path: '/api/products',
    summary: 'Lists the products on the shelf',
    params: z.object({}),
    body: none,
    answer: z.array(product),
  },
  readProduct: {
    method: 'get',
    path: '/api/products/:id',
    summary: 'Reads one product as it was typed from its label',
    params: oneProduct,
    body: none,
    answer: product,
  },
  writeProduct: {
    method: 'put',
    path: '/api/products/:id',
    summary: 'Puts a product on the shelf or changes one; the same write twice is harmless',
    params: oneProduct,
    body: productWrite,
    answer: product,
  },
  deleteProduct: {
    method: 'delete',
    path: '/api/products/:id',
    summary: 'Takes a product off the shelf; it can be restored',
    params: oneProduct,
    body: none,
    answer: none,
  },
  restoreProduct: {
    method: 'post',
    path: '/api/products/:id/restore',
    summary: 'Puts a deleted product back on the shelf',
    params: oneProduct,
    body: none,
    answer: product,
  },
} as const satisfies Record<string, Route>;

export type RouteName = keyof typeof ROUTES;
export type ParamsOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['params']>;
export type BodyOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['body']>;
export type AnswerOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['answer']>;
