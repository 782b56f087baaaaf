import { say } from '@steady-scatter/words/common';
import { FILE_ROUTES } from '@steady-scatter/contract';
import { readProblem } from '../api/call.ts';
import { noteSilence, serverAnswers } from '../api/connection.ts';
import { Unreachable } from '../api/errors.ts';

/** Where a backup is handed over. */
export const BACKUP_PATH = FILE_ROUTES.backup.path;

/** The server stops listening at once, and is back within seconds. */
const GONE_MS = 1500;
const LOOK_MS = 500;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Puts a backup in place of everything that is kept; done when the server is back with it.
 *
 * @throws ApiProblem when the server refuses; Unreachable when there is no connection
 */
export async function restoreBackup(file: Blob): Promise<void> {
  let response: Response;
  try {
    response = await fetch(FILE_ROUTES.restore.path, {
      method: 'POST',
      body: file,
      headers: { 'Content-Type': FILE_ROUTES.restore.type },
    });
  } catch {
    noteSilence();
    throw new Unreachable(say('common.serverSilent'));
  }
  if (!response.ok) throw await readProblem(response);
  await pause(GONE_MS);
  // oxlint-disable-next-line no-await-in-loop -- one look after the other
  while (!(await serverAnswers())) await pause(LOOK_MS);
}
