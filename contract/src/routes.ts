import * as z from 'zod';
import { calibration, calibrationWrite } from './calibrations.ts';
import { device, here, pairing } from './devices.ts';
import { job, jobSummary, jobWrite } from './jobs.ts';
import { keptRoutes, none, nothing } from './kept.ts';
import { product, productBatch, productIds, productWrite } from './products.ts';
import type { Route } from './route.ts';
import { rig, rigWrite } from './rigs.ts';
import { ruleSet, ruleSetWrite } from './ruleSets.ts';
import { site, siteWrite } from './sites.ts';
import { soilTest, soilTestWrite } from './soilTests.ts';
import { widthTest, widthTestWrite } from './widthTests.ts';

/** Health of the process, its database and its disk; `limited` where reading goes on and nothing more can be kept. */
export const health = z.object({
  status: z.enum(['ok', 'limited']),
  database: z.literal('ok'),
  disk: z.enum(['ok', 'full']),
});

/** The description of the API; its own shape is OpenAPI's business. */
const openApiDocument = z.record(z.string(), z.unknown());

/** Every route. The server mounts them from here, the web calls them from here. */
export const ROUTES = {
  health: {
    method: 'get',
    path: '/api/health',
    summary: 'Says whether the server and its database answer',
    params: nothing,
    body: none,
    answer: health,
  },
  describe: {
    method: 'get',
    path: '/api/openapi.json',
    summary: 'Describes this API as OpenAPI 3.1',
    params: nothing,
    body: none,
    answer: openApiDocument,
  },
  here: {
    method: 'get',
    path: '/api/here',
    summary: 'Says where this can be reached and whether the asking device is trusted',
    params: nothing,
    body: none,
    answer: here,
  },
  pair: {
    method: 'post',
    path: '/api/pair',
    summary: 'Trusts a device of the local network that knows the code',
    params: nothing,
    body: pairing,
    answer: none,
  },
  listDevices: {
    method: 'get',
    path: '/api/devices',
    summary: 'Lists the devices that were paired',
    params: nothing,
    body: none,
    answer: z.array(device),
  },
  forgetDevice: {
    method: 'delete',
    path: '/api/devices/:id',
    summary: 'Forgets a device: it has to be paired again',
    params: z.object({ id: z.uuid() }),
    body: none,
    answer: none,
  },
  ...keptRoutes(
    { one: 'Job', many: 'Jobs', path: '/api/jobs', words: { one: 'job', many: 'jobs' } },
    { wire: job, listed: jobSummary, write: jobWrite },
  ),
  ...keptRoutes(
    { one: 'Product', many: 'Products', path: '/api/products', words: { one: 'product', many: 'products' } },
    { wire: product, listed: product, write: productWrite },
  ),
  addProducts: {
    method: 'post',
    path: '/api/products/batch',
    summary: 'Puts many new products on the shelf at once, all of them or none; twice is harmless',
    params: nothing,
    body: productBatch,
    answer: none,
  },
  deleteProducts: {
    method: 'post',
    path: '/api/products/batch/delete',
    summary: 'Takes many products off the shelf at once; each can be restored',
    params: nothing,
    body: productIds,
    answer: none,
  },
  ...keptRoutes(
    { one: 'Site', many: 'Sites', path: '/api/sites', words: { one: 'site', many: 'sites' } },
    { wire: site, listed: site, write: siteWrite },
  ),
  ...keptRoutes(
    { one: 'Rig', many: 'Rigs', path: '/api/rigs', words: { one: 'machine', many: 'machines' } },
    { wire: rig, listed: rig, write: rigWrite },
  ),
  ...keptRoutes(
    {
      one: 'Calibration',
      many: 'Calibrations',
      path: '/api/calibrations',
      words: { one: 'calibration', many: 'calibrations' },
    },
    { wire: calibration, listed: calibration, write: calibrationWrite },
  ),
  ...keptRoutes(
    {
      one: 'WidthTest',
      many: 'WidthTests',
      path: '/api/width-tests',
      words: { one: 'width test', many: 'width tests' },
    },
    { wire: widthTest, listed: widthTest, write: widthTestWrite },
  ),
  ...keptRoutes(
    {
      one: 'SoilTest',
      many: 'SoilTests',
      path: '/api/soil-tests',
      words: { one: 'soil test', many: 'soil tests' },
    },
    { wire: soilTest, listed: soilTest, write: soilTestWrite },
  ),
  ...keptRoutes(
    {
      one: 'RuleSet',
      many: 'RuleSets',
      path: '/api/rule-sets',
      words: { one: 'set of rules', many: 'sets of rules' },
    },
    { wire: ruleSet, listed: ruleSet, write: ruleSetWrite },
  ),
} as const satisfies Record<string, Route>;

/** Routes that hand over a file in place of JSON. */
export const FILE_ROUTES = {
  backup: {
    method: 'get',
    path: '/api/backup',
    summary: 'Everything that is kept, as one archive',
    type: 'application/zip',
  },
  restore: {
    method: 'post',
    path: '/api/restore',
    summary: 'Puts an archive in place of everything that is kept; at the machine itself alone',
    type: 'application/zip',
  },
} as const;

export type RouteName = keyof typeof ROUTES;
export type ParamsOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['params']>;
export type BodyOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['body']>;
export type AnswerOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['answer']>;
