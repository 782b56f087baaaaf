import { statfsSync } from 'node:fs';

/** Below this nothing more is written: the database needs room to go on at all, bytes. */
const MIN_ROOM = 8 * 2 ** 20;

/** Whether there is room to keep more. */
export interface Disk {
  isFull(): boolean;
}

/** A disk that is never full, where nothing is known of it. */
export const ANY_DISK: Disk = { isFull: () => false };

/** The disk that a folder is on. A disk that cannot be asked counts as one with room: the write itself will tell. */
export const diskOf = (folder: string): Disk => ({
  isFull() {
    try {
      const { bavail, bsize } = statfsSync(folder);
      return bavail * bsize < MIN_ROOM;
    } catch {
      return false;
    }
  },
});
