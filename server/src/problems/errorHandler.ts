import type { Problem } from '@steady-scatter/contract';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import { BaseError, ConnectionError, DatabaseError } from 'sequelize';
import { ZodError } from 'zod';
import { Refusal } from './Refusal.ts';

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

/** Errors of the body parser carry an HTTP status. */
function parserProblem(error: unknown): Detail | null {
  if (!(error instanceof Error) || !('status' in error) || !('type' in error)) return null;
  if (error.status === 413) {
    return { status: 413, title: 'Too large', detail: 'That is more than this can take at once.' };
  }
  const status = error.status === 415 ? 415 : 400;
  return { status, title: 'Not readable', detail: 'The request is not readable JSON in UTF-8.' };
}

function describe(error: unknown): Detail {
  if (error instanceof Refusal) return error.problem;
  if (error instanceof ZodError) return invalid(error);
  if (isDatabaseDown(error)) {
    const detail = 'The database does not answer. What you typed stays here; try again in a moment.';
    return { status: 503, title: 'Database not reachable', detail };
  }
  const fromParser = parserProblem(error);
  if (fromParser) return fromParser;
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
  if (detail.status >= 500) request.log.error({ err: error }, 'request failed');
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
  response.status(detail.status).type('application/problem+json').send(JSON.stringify(body));
};
