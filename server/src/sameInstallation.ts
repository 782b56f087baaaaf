import type { RequestHandler } from 'express';
import { INSTALLATION_HEADER } from '@steady-scatter/contract';
import { plainProblem } from './problems/HttpProblem.ts';

/** Tells each answer's installation, and refuses what was meant for another one: rows of before a restore belong nowhere after it. */
export const sameInstallation =
  (installation: string): RequestHandler =>
  (request, response, next) => {
    response.set(INSTALLATION_HEADER, installation);
    const meant = request.get(INSTALLATION_HEADER);
    if (meant !== undefined && meant !== installation) throw plainProblem('other-installation');
    next();
  };
