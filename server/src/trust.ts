import type { Request, RequestHandler } from 'express';
import { plainProblem } from './problems/HttpProblem.ts';
import { isLoopback } from './running/address.ts';
import type { DeviceService } from './services/devices.ts';

/** How this server may be reached beside the machine itself. */
export interface Network {
  /** Address for links; null: that of the page. */
  readonly publicUrl: string | null;
  /** Addresses on the local network; none: the network is not let in. */
  readonly addresses: readonly string[];
  /** What a new device has to know; null where the network is not let in. */
  readonly code: string | null;
  /** Addresses of proxies that may say for whom they ask. */
  readonly trustProxy: readonly string[];
}

/** The machine itself and nobody else. */
export const THIS_MACHINE: Network = { publicUrl: null, addresses: [], code: null, trustProxy: [] };

export const TOKEN_COOKIE = 'steady-device';

/** What a proxy adds to a request that it passes on, under any of its names. */
const FORWARDING =
  /^(forwarded|via|x-forwarded(-.+)?|x-real-ip|x-(cluster-)?client-ip|true-client-ip|cf-connecting-ip|x-original-.+)$/;
const OPEN_PATHS = new Set(['/here', '/pair', '/health']);

const hostName = (request: Request): string => (request.get('host') ?? '').replace(/:\d+$/, '').toLowerCase();

/** True for a page on this very machine: not through a proxy, and not by a name that somebody else's page made up. */
export const isOwn = (request: Request): boolean =>
  isLoopback(request.socket.remoteAddress ?? '') &&
  isLoopback(hostName(request)) &&
  !Object.keys(request.headers).some((name) => FORWARDING.test(name));

/** Refuses what may be done at the machine itself alone. */
export const onlyHere: RequestHandler = (request, _response, next) => {
  if (!isOwn(request)) throw plainProblem('only-here');
  next();
};

/** The token that a device carries, from its cookie. */
export const tokenOf = (request: Request): string | null =>
  new RegExp(`(?:^|;\\s*)${TOKEN_COOKIE}=([\\w-]+)`).exec(request.get('cookie') ?? '')?.[1] ?? null;

/** Whether a device may read and write here. */
export async function isTrusted(request: Request, crewId: string, devices: DeviceService): Promise<boolean> {
  if (isOwn(request)) return true;
  const token = tokenOf(request);
  return token !== null && (await devices.knows(crewId, token));
}

/** Lets the machine itself in, and devices that were paired; what it takes to be paired is open to all. */
export const onlyTrusted =
  (crewId: string, devices: DeviceService): RequestHandler =>
  async (request, _response, next) => {
    if (OPEN_PATHS.has(request.path) || (await isTrusted(request, crewId, devices))) {
      next();
      return;
    }
    throw plainProblem('not-paired');
  };
