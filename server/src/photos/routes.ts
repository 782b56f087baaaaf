import { FILE_ROUTES, PHOTO_LIMITS } from '@steady-scatter/contract';
import express, { Router } from 'express';
import * as z from 'zod';
import { plainProblem } from '../problems/HttpProblem.ts';
import { readAsked } from '../problems/invalid.ts';
import type { Disk } from '../running/disk.ts';
import type { PhotoService } from './photos.ts';

const YEAR_SECONDS = 31_536_000;
const params = z.object({ id: z.uuid() });

/** A picture in, and a picture out: neither is JSON, so they stand beside the other routes. */
export function photoRoutes(photos: PhotoService, disk: Disk): Router {
  const router = Router();
  const body = express.raw({ type: () => true, limit: PHOTO_LIMITS.bytes });
  // oxlint-disable-next-line no-async-endpoint-handlers -- Express 5 takes what is rejected
  router.put(FILE_ROUTES.addPhoto.path, body, async (request, response) => {
    if (disk.isFull()) throw plainProblem('disk-full');
    const { id } = readAsked(params, request.params);
    const sent: unknown = request.body;
    response.json(await photos.add(request.actor!, id, Buffer.isBuffer(sent) ? sent : Buffer.alloc(0)));
  });
  // oxlint-disable-next-line no-async-endpoint-handlers
  router.get(FILE_ROUTES.picture.path, async (request, response) => {
    const { id } = readAsked(params, request.params);
    const { type, bytes } = await photos.picture(request.actor!, id);
    // Of an id there is only ever one picture.
    response.set('Cache-Control', `private, max-age=${YEAR_SECONDS}, immutable`);
    // Whatever it may hold, it is shown as a picture and as nothing else.
    response.set('Content-Security-Policy', "default-src 'none'; sandbox");
    response.type(type).send(bytes);
  });
  return router;
}
