import type { ErrorRequestHandler, RequestHandler } from 'express';
import { say } from '@steady-scatter/words/server';
import { logged } from '../running/log.ts';
import { isDatabaseDown, isDiskFull } from './databaseTrouble.ts';
import { HttpProblem, plainProblem } from './HttpProblem.ts';

/** When to try again after the database did not answer, s. */
const RETRY_SECONDS = 2;

/** What Express and its parsers refuse carries the status that is the asker's own doing. */
function askedWrongly(error: unknown): HttpProblem | null {
  if (!(error instanceof Error) || !('status' in error) || typeof error.status !== 'number') return null;
  if (error.status === 404) return plainProblem('not-found');
  if (error.status === 413) return plainProblem('too-large');
  if (error.status === 415) return plainProblem('unsupported-type');
  return error.status >= 400 && error.status < 500 ? plainProblem('unreadable') : null;
}

function problemOf(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error;
  if (isDiskFull(error)) return plainProblem('disk-full');
  if (isDatabaseDown(error)) return plainProblem('database-down');
  return askedWrongly(error) ?? plainProblem('failed');
}

/** Answers every API path that no route took. */
export const noSuchRoute: RequestHandler = (request) => {
  throw plainProblem(
    'not-found',
    say('server.nothingAt', { method: request.method, path: request.originalUrl.split('?')[0] ?? '' }),
  );
};

/** Answers whoever asks too often. */
export const tooMany: RequestHandler = () => {
  throw plainProblem('too-many-requests');
};

/** Turns anything thrown or rejected into problem+json, without a stack; mounted last. */
export const errorHandler: ErrorRequestHandler = (error, request, response, next) => {
  const problem = problemOf(error);
  if (problem.status >= 500) request.log.error({ err: logged(error) }, 'request failed');
  if (response.headersSent) {
    next(error);
    return;
  }
  if (problem.status === 503) response.set('Retry-After', String(RETRY_SECONDS));
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify(problem.body(request.id)));
};
