import { chmod, mkdir, readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Connection } from '../database.ts';
import { writeBackup } from './write.ts';

/** Days that are kept. */
const MAX_DAYS = 14;
const LOOK_MS = 60 * 60_000;
const DAILY = /^steady-scatter-\d{4}-\d\d-\d\d\.zip$/;
const BEFORE = /^before-.*\.zip$/;

export const backupFolder = (dataFolder: string): string => join(dataFolder, 'backups');

async function folderOf(dataFolder: string): Promise<string> {
  const folder = backupFolder(dataFolder);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  await chmod(folder, 0o700);
  return folder;
}

/** The newest of one kind stay, by name, which begins with what is the same and ends with the day. */
async function keepNewest(folder: string, kind: RegExp, most: number): Promise<void> {
  const names = (await readdir(folder)).filter((name) => kind.test(name)).toSorted();
  // oxlint-disable-next-line no-await-in-loop -- few
  const old = names.slice(0, Math.max(0, names.length - most));
  await Promise.all(old.map((name) => rm(join(folder, name), { force: true })));
}

/** Keeps today's archive, unless it is there; the last days stay. */
export async function keepToday(connection: Connection, dataFolder: string, now = new Date()): Promise<void> {
  const folder = await folderOf(dataFolder);
  const name = `steady-scatter-${now.toISOString().slice(0, 10)}.zip`;
  if ((await readdir(folder)).includes(name)) return;
  await writeBackup(connection, join(folder, name));
  await keepNewest(folder, DAILY, MAX_DAYS);
}

/** An archive of what is kept before the tables take a step. */
export async function keepBefore(connection: Connection, dataFolder: string, step: string): Promise<string> {
  const folder = await folderOf(dataFolder);
  const file = join(folder, `before-${step}-${new Date().toISOString().slice(0, 10)}.zip`);
  await writeBackup(connection, file);
  await keepNewest(folder, BEFORE, MAX_DAYS);
  return file;
}

/** Looks once an hour whether today's archive is there. */
export function keepDaily(
  connection: Connection,
  dataFolder: string,
  failed: (error: unknown) => void,
): { stop(): Promise<void> } {
  // prettier-ignore
  let working: Promise<void> = Promise.resolve();
  const look = () => {
    working = working.then(() => keepToday(connection, dataFolder)).catch(failed);
  };
  look();
  const timer = setInterval(look, LOOK_MS);
  timer.unref();
  return {
    async stop() {
      clearInterval(timer);
      await working;
    },
  };
}
