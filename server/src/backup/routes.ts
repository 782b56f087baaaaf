import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { FILE_ROUTES } from '@steady-scatter/contract';
import { Router, type Request } from 'express';
import { say } from '@steady-scatter/words/server';
import type { Connection } from '../database.ts';
import { plainProblem } from '../problems/HttpProblem.ts';
import type { Disk } from '../running/disk.ts';
import { onlyLead } from '../trust.ts';
import { UnfitArchive } from './format.ts';
import { backupFolder } from './keep.ts';
import { writeBackup } from './write.ts';

/** How backups are made and restored here. */
export interface Backups {
  readonly connection: Connection;
  readonly dataFolder: string;
  /** Puts the rows of an archive in place of those that are kept, and starts anew. */
  restore?(archive: string): Promise<void>;
}

/** Largest archive that is taken in, bytes. */
const MAX_BYTES = 512 * 2 ** 20;

const tooLarge = () => plainProblem('too-large', say('server.backup.large'));

function upTo(most: number): Transform {
  let seen = 0;
  return new Transform({
    transform(piece: Buffer, _encoding, done) {
      seen += piece.length;
      done(seen > most ? tooLarge() : null, piece);
    },
  });
}

async function takeIn(request: Request, { dataFolder, restore }: Backups): Promise<void> {
  const folder = backupFolder(dataFolder);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `taken-in-${randomUUID()}.zip`);
  try {
    await pipeline(request, upTo(MAX_BYTES), createWriteStream(file, { mode: 0o600 }));
    await restore?.(file);
  } catch (error) {
    if (!(error instanceof UnfitArchive)) throw error;
    throw plainProblem('not-restored', error.message);
  } finally {
    await rm(file, { force: true });
  }
}

/** A file out, and a file in: neither is JSON, so they stand beside the other routes. */
export function backupRoutes(backups: Backups, disk: Disk): Router {
  const router = Router();
  router.get(FILE_ROUTES.backup.path, async (_request, response) => {
    const file = join(tmpdir(), `steady-backup-${randomUUID()}.zip`);
    try {
      const { madeAt } = await writeBackup(backups.connection, file);
      response.attachment(`steady-scatter-${madeAt.slice(0, 10)}.zip`).type('application/zip');
      await new Promise<void>(
        (resolve, reject) =>
        response.sendFile(file, { dotfiles: 'allow', cacheControl: false }, (error) => (error ? reject(error) : resolve())), // prettier-ignore
      );
    } finally {
      await rm(file, { force: true });
    }
  });
  // oxlint-disable-next-line no-async-endpoint-handlers -- Express 5 takes what is rejected
  router.post(FILE_ROUTES.restore.path, async (request, response) => {
    onlyLead(request.actor);
    if (!backups.restore) throw plainProblem('not-found', say('server.backup.elsewhere'));
    if (disk.isFull()) throw plainProblem('disk-full');
    await takeIn(request, backups);
    response.status(204).end();
  });
  return router;
}
