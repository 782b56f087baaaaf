// What the database's driver and the server behind it mean by their codes; no message is read for it.
import { BaseError, ConnectionError } from 'sequelize';

/** The connection is gone, or cannot be made: of Node, of the driver (45…), of a server that is ending. */
const DOWN: ReadonlySet<string | number> = new Set([
  'ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOENT', 'ETIMEDOUT',
  45001, 45009, 45012, 45013, 45019, 45026, 45027, 45028, 45035, 45037, 45051, 45060, 45061,
  1053, 1077, 1079, 1927, 2006, 2013,
]); // prettier-ignore

/** No room is left: for a row, in a table, on the disk. */
const FULL: ReadonlySet<string | number> = new Set(['ENOSPC', 1021, 1026, 1114]);

/** Two changes met: a deadlock, a lock that was waited for too long. */
const MET: ReadonlySet<string | number> = new Set([1205, 1213]);

/** The codes that an error carries, its own and those of what caused it. */
function codesOf(error: unknown): (string | number)[] {
  if (!(error instanceof Error)) return [];
  const own = ['code', 'errno'].flatMap((key) => {
    const value: unknown = Reflect.get(error, key);
    return typeof value === 'string' || typeof value === 'number' ? [value] : [];
  });
  const causes = ['parent', 'original', 'cause'].flatMap((key) => {
    const cause: unknown = Reflect.get(error, key);
    return cause === error ? [] : codesOf(cause);
  });
  return [...own, ...causes];
}

const has = (error: unknown, codes: ReadonlySet<string | number>): boolean =>
  error instanceof BaseError && codesOf(error).some((code) => codes.has(code));

export const isDatabaseDown = (error: unknown): boolean =>
  error instanceof ConnectionError || has(error, DOWN);
export const isDiskFull = (error: unknown): boolean => has(error, FULL);
export const isMet = (error: unknown): boolean => has(error, MET);
