import type { RequestHandler } from 'express';
import { plainProblem } from './problems/HttpProblem.ts';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The host of an Origin header; null for "null" and for anything that is no address. */
function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

/**
 * Refuses writes that another site's page sends from somebody's browser. Browsers name the origin of every write;
 * a client that names none is no browser page and carries no one's session.
 */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const origin = request.get('origin');
  const site = request.get('sec-fetch-site');
  const foreign = (origin !== undefined && hostOf(origin) !== request.host) || site === 'cross-site';
  if (!SAFE.has(request.method) && foreign) {
    throw plainProblem('foreign-origin');
  }
  next();
};
