import { renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { connectionFile, openDatabase, stopDatabase } from './database.mjs';
import { databasePlaces } from './places.mjs';

/**
 * Reads an archive into tables of their own, beside those in use. They take their place when the database of this folder is opened
 * the next time, and the earlier ones are set aside then. An archive that is damaged or foreign throws, and nothing is changed.
 * @param {string} folder
 * @param {string} archive
 * @param {{ checkArchive(archive: string): Promise<void>, restoreArchive(connectionFile: string, archive: string): Promise<void> }} program what the
 *   server's bundle exports
 */
export async function prepareRestore(folder, archive, program) {
  await program.checkArchive(archive);
  const { restored } = databasePlaces(folder);
  const side = join(folder, 'restoring');
  await stopDatabase(side);
  rmSync(side, { recursive: true, force: true });
  try {
    await openDatabase(side);
    await program.restoreArchive(connectionFile(side), archive);
    await stopDatabase(side);
    rmSync(restored, { recursive: true, force: true });
    renameSync(databasePlaces(side).rows, restored);
  } finally {
    await stopDatabase(side);
    rmSync(side, { recursive: true, force: true });
  }
}
