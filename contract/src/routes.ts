import { STATION_QUANTITIES, stationAnswer } from '@steady-scatter/core/winter';
import * as z from 'zod';
import { crewSettings } from './crew.ts';
import { device, here, pairing } from './devices.ts';
import { none, nothing, type Route } from './route.ts';
import { feed, madeFeed, newFeed } from './feeds.ts';
import { ledgerArea, ledgerQuery } from './ledger.ts';
import { photoFacts } from './photos.ts';
import { hits, searchQuery } from './search.ts';
import { stockLine } from './stock.ts';

/** Health of the process, its database and its disk; `limited` where reading goes on and nothing more can be kept. */
export const health = z.object({
  status: z.enum(['ok', 'limited']),
  database: z.literal('ok'),
  disk: z.enum(['ok', 'full']),
});

/** The description of the API; its own shape is OpenAPI's business. */
const openApiDocument = z.record(z.string(), z.unknown());

/** Every route but those of the stored kinds. The server mounts them from here, the web calls them from here. */
export const ROUTES = {
  health: {
    method: 'get',
    path: '/api/health',
    summary: 'Says whether the server and its database answer',
    params: nothing,
    query: nothing,
    body: none,
    answer: health,
  },
  describe: {
    method: 'get',
    path: '/api/openapi.json',
    summary: 'Describes this API as OpenAPI 3.1',
    params: nothing,
    query: nothing,
    body: none,
    answer: openApiDocument,
  },
  here: {
    method: 'get',
    path: '/api/here',
    summary: 'Says where this can be reached and whether the asking device is trusted',
    params: nothing,
    query: nothing,
    body: none,
    answer: here,
  },
  crew: {
    method: 'get',
    path: '/api/crew',
    summary: 'Reads what the crew has settled for all of its devices',
    params: nothing,
    query: nothing,
    body: none,
    answer: crewSettings,
  },
  setCrew: {
    method: 'put',
    path: '/api/crew',
    summary: 'Settles it anew',
    params: nothing,
    query: nothing,
    body: crewSettings,
    answer: crewSettings,
  },
  pair: {
    method: 'post',
    path: '/api/pair',
    summary: 'Trusts a device of the local network that knows the code',
    params: nothing,
    query: nothing,
    body: pairing,
    answer: none,
  },
  listDevices: {
    method: 'get',
    path: '/api/devices',
    summary: 'Lists the devices that were paired',
    params: nothing,
    query: nothing,
    body: none,
    answer: z.array(device),
  },
  forgetDevice: {
    method: 'delete',
    path: '/api/devices/:id',
    summary: 'Forgets a device: it has to be paired again',
    params: z.object({ id: z.uuid() }),
    query: nothing,
    body: none,
    answer: none,
  },
  station: {
    method: 'get',
    path: '/api/station',
    summary: 'Asks the station that is configured what it reads now',
    params: nothing,
    query: z.strictObject({ of: z.enum(STATION_QUANTITIES) }),
    body: none,
    answer: stationAnswer,
  },
  ledger: {
    method: 'get',
    path: '/api/ledger',
    summary: 'Adds up what was spread between two days, area by area, by month and by product',
    params: nothing,
    query: ledgerQuery,
    body: none,
    answer: z.array(ledgerArea),
  },
  listFeeds: {
    method: 'get',
    path: '/api/feeds',
    summary: 'Lists the secret addresses by which calendars follow the plans; not their secrets',
    params: nothing,
    query: nothing,
    body: none,
    answer: z.array(feed),
  },
  addFeed: {
    method: 'post',
    path: '/api/feeds',
    summary: 'Makes such an address; it is told this once',
    params: nothing,
    query: nothing,
    body: newFeed,
    answer: madeFeed,
  },
  revokeFeed: {
    method: 'delete',
    path: '/api/feeds/:id',
    summary: 'Takes such an address back: it leads nowhere from then on',
    params: z.object({ id: z.uuid() }),
    query: nothing,
    body: none,
    answer: none,
  },
  stock: {
    method: 'get',
    path: '/api/stock',
    summary: 'Adds up what is on the shelf: counted and received less spread and thrown away',
    params: nothing,
    query: nothing,
    body: none,
    answer: z.array(stockLine),
  },
  photo: {
    method: 'get',
    path: '/api/photos/:id/facts',
    summary: 'Says what is known of a photo, also when its picture was removed',
    params: z.object({ id: z.uuid() }),
    query: nothing,
    body: none,
    answer: photoFacts,
  },
  removePhoto: {
    method: 'delete',
    path: '/api/photos/:id',
    summary: 'Removes the picture of a photo; what is known of it stays',
    params: z.object({ id: z.uuid() }),
    query: nothing,
    body: z.strictObject({ why: z.string().trim().min(1).max(400) }),
    answer: photoFacts,
  },
  search: {
    method: 'get',
    path: '/api/search',
    summary: 'Finds documents of any kind by words of their names and texts',
    params: nothing,
    query: searchQuery,
    body: none,
    answer: hits,
  },
} as const satisfies Record<string, Route>;

/** Routes that hand over a file in place of JSON. */
export const FILE_ROUTES = {
  calendar: {
    method: 'get',
    path: '/calendar/:file',
    summary: 'The plans as a calendar, for whoever has the secret address',
    type: 'text/calendar',
  },
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
  addPhoto: {
    method: 'put',
    path: '/api/photos/:id',
    summary: 'Takes a photo in: JPEG, PNG or WebP, told by its content; the same one twice is harmless',
    type: 'image/*',
  },
  picture: {
    method: 'get',
    path: '/api/photos/:id',
    summary: 'Hands over the picture of a photo',
    type: 'image/*',
  },
} as const;

export type RouteName = keyof typeof ROUTES;
export type QueryOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['query']>;
export type ParamsOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['params']>;
export type BodyOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['body']>;
export type AnswerOf<Name extends RouteName> = z.output<(typeof ROUTES)[Name]['answer']>;
