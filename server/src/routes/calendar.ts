import { CALENDAR_PATH } from '@steady-scatter/contract';
import { Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { plainProblem } from '../problems/HttpProblem.ts';
import { tooMany } from '../problems/errorHandler.ts';
import { calendarFor } from '../services/feeds.ts';

/** A calendar asks every few minutes at most; whoever guesses needs more than a lifetime at that. */
const REQUESTS_PER_MINUTE = 30;
const SECRET = /^([\w-]{43})\.ics$/;

/** What may stand in a log of where somebody went: of an address with a secret, not the secret. */
export const withoutSecret = (url: string): string =>
  url.startsWith(`${CALENDAR_PATH}/`) ? `${CALENDAR_PATH}/…` : url;

/** Plans for whoever has the secret address: read and nothing else, nobody has to be known. */
export function calendarRoutes(): Router {
  const router = Router();
  router.use(
    CALENDAR_PATH,
    rateLimit({
      windowMs: 60_000,
      limit: REQUESTS_PER_MINUTE,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      validate: { xForwardedForHeader: false, forwardedHeader: false },
      handler: tooMany,
    }),
  );
  router.get(`${CALENDAR_PATH}/:file`, async (request, response) => {
    const secret = SECRET.exec(request.params.file)?.[1];
    const text = secret === undefined ? null : await calendarFor(secret, new Date());
    if (text === null) throw plainProblem('not-found');
    response.set('Cache-Control', 'private, no-store').type('text/calendar; charset=utf-8').send(text);
  });
  return router;
}
