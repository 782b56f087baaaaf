import type { Problem } from '@steady-scatter/contract';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import { BaseError, ConnectionError, DatabaseError } from 'sequelize';
import { ZodError } from 'zod';
import { logged } from '../running/log.ts';
import { databaseDown, diskFull, Refusal } from './Refusal.ts';

/** What a body that is no JSON is answered with. */
const NOT_JSON = 'The request is not readable JSON in UTF-8.';

/** When to try again after the database did not answer, s. */
const RETRY_SECONDS = 2;

type Detail = Omit<Problem, 'type' | 'requestId'>;

function invalid(error: ZodError): Detail {
  const errors = error.issues.map((issue) => {
    const params: Record<string, unknown> = 'params' in issue ? (issue.params ?? {}) : {};
    return {
      path: issue.path.map((step) => (typeof step === 'number' ? step : String(step))),
      code: typeof params['code'] === 'string' ? params['code'] : `body.${issue.code}`,
      message: issue.message,
      hint: typeof params['hint'] === 'string' ? params['hint'] : null,
    };
  });
  const detail = errors[0]?.message ?? 'Something in this request cannot be read.';
  return { status: 400, title: 'Something here cannot be kept', detail, errors };
}

/** A database that cannot be reached is 503, whether the pool, the socket or the server process is gone. */
function isDatabaseDown(error: unknown): boolean {
  if (error instanceof ConnectionError) return true;
  if (!(error instanceof DatabaseError) && !(error instanceof BaseError)) return false;
  const parent = 'parent' in error ? error.parent : null;
  const code = parent && typeof parent === 'object' && 'code' in parent ? String(parent.code) : '';
  return /^(ER_SOCKET|ER_CMD_CONNECTION_CLOSED|ER_CONNECTION|ECONN|EPIPE|ER_GET_CONNECTION|PROTOCOL)|45009|45013|1053/.test(
    code,
  );
}

/** A database that has no room left: its table, its disk, or a file it writes. */
const FULL = new Set([1021, 1114, 1026, 3]);

function isDiskFull(error: unknown): boolean {
  if (!(error instanceof BaseError)) return false;
  const parent = 'parent' in error ? error.parent : null;
  if (!parent || typeof parent !== 'object' || !('errno' in parent)) return false;
  return FULL.has(Number(parent.errno)) || /errno: 28\b/.test(error.message);
}

/** What Express and its parsers refuse carries the status that is the asker's own doing. */
function askedWrongly(error: unknown): Detail | null {
  if (!(error instanceof Error) || !('status' in error)) return null;
  const { status } = error;
  if (status === 404) return { status, title: 'Not found', detail: 'There is nothing at this address.' };
  if (status === 413)
    return { status, title: 'Too large', detail: 'That is more than this can take at once.' };
  if (typeof status !== 'number' || status < 400 || status >= 500) return null;
  const detail = 'type' in error ? NOT_JSON : 'The request is not readable.';
  return { status: status === 415 ? 415 : 400, title: 'Not readable', detail };
}

function describe(error: unknown): Detail {
  if (error instanceof Refusal) return error.problem;
  if (error instanceof ZodError) return invalid(error);
  if (isDiskFull(error)) return diskFull().problem;
  if (isDatabaseDown(error)) return databaseDown().problem;
  if (error instanceof SyntaxError && error.message === NOT_JSON)
    return { status: 400, title: 'Not readable', detail: NOT_JSON };
  const wrong = askedWrongly(error);
  if (wrong) return wrong;
  return {
    status: 500,
    title: 'Something went wrong',
    detail: 'The server could not do this. Nothing was changed.',
  };
}

/** Answers every API path that no route took. */
export const noSuchRoute: RequestHandler = (request) => {
  throw new Refusal({
    status: 404,
    title: 'Not found',
    detail: `There is nothing at ${request.method} ${request.originalUrl.split('?')[0]}.`,
  });
};

/** Answers whoever asks too often. */
export const tooMany: RequestHandler = () => {
  throw new Refusal({
    status: 429,
    title: 'Too many requests',
    detail: 'Too many requests at once. Try again in a minute.',
  });
};

/** Turns anything thrown or rejected into problem+json, without a stack; mounted last. */
export const errorHandler: ErrorRequestHandler = (error, request, response, next) => {
  const detail = describe(error);
  if (detail.status >= 500) request.log.error({ err: logged(error) }, 'request failed');
  if (response.headersSent) {
    next(error);
    return;
  }
  const body = {
    type: 'about:blank',
    ...detail,
    requestId: request.id,
    ...(error instanceof Refusal ? error.more : {}),
  };
  if (detail.status === 503) response.set('Retry-After', String(RETRY_SECONDS));
  response.status(detail.status).type('application/problem+json').send(JSON.stringify(body));
};
