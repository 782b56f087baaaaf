import type { Request, RequestHandler } from 'express';
import { leadOf, type Actor } from './actor.ts';
import { plainProblem } from './problems/HttpProblem.ts';
import { isLoopback } from './running/address.ts';
import type { DeviceService } from './services/devices.ts';

/** How this server may be reached beside the machine itself. */
export interface Network {
  /** Address for links; null: that of the page. */
  readonly publicUrl: string | null;
  /** Addresses on the local network; none: the network is not let in. */
  readonly addresses: readonly string[];
  /** The same by HTTPS; none: it is not served. */
  readonly secureAddresses?: readonly string[];
  /** The certificate of the authority that a phone has to trust for them, PEM; null: it trusts it already. */
  readonly authority?: string | null;
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

/** The token that a device carries, from its cookie. */
export const tokenOf = (request: Request): string | null =>
  new RegExp(`(?:^|;\\s*)${TOKEN_COOKIE}=([\\w-]+)`).exec(request.get('cookie') ?? '')?.[1] ?? null;

/** Who asks: whoever is at the machine itself leads, a paired device is one of the crew; null: nobody that is trusted. */
export async function actorOf(
  request: Request,
  homeCrewId: string,
  devices: DeviceService,
): Promise<Actor | null> {
  if (isOwn(request)) return leadOf(homeCrewId);
  const token = tokenOf(request);
  return token === null ? null : devices.actorOf(token);
}

/** A device that was forgotten is told so, and deletes what it holds. */
async function whyNot(request: Request, devices: DeviceService): Promise<'device-forgotten' | 'not-paired'> {
  const token = tokenOf(request);
  return token !== null && (await devices.isForgotten(token)) ? 'device-forgotten' : 'not-paired';
}

/**
 * Lets the machine itself in, and devices that were paired; what it takes to be paired is open to all.
 *
 * @param homeCrewId the crew that whoever is at the machine itself leads
 */
export const onlyTrusted =
  (homeCrewId: string, devices: DeviceService): RequestHandler =>
  async (request, _response, next) => {
    // Health is asked often, also by what only looks whether anybody answers.
    const actor = request.path === '/health' ? null : await actorOf(request, homeCrewId, devices);
    if (actor) request.actor = actor;
    else if (!OPEN_PATHS.has(request.path)) throw plainProblem(await whyNot(request, devices));
    next();
  };

/** Refuses what only whoever leads the crew may do. */
export function onlyLead(actor: Actor | undefined): void {
  if (actor?.role !== 'lead') throw plainProblem('only-here');
}
