import { chmodSync, existsSync } from 'node:fs';
import { basename, dirname } from 'node:path';
import { pino, type Logger } from 'pino';
import { createStream, type RotatingFileStream } from 'rotating-file-stream';
import { BaseError } from 'sequelize';

const FILES = 5;
const OPEN_AGAIN_MS = 5000;
/** Lines are written together: so many characters of them, or so many ms after the first. */
const MAX_WAITING = 65_536;
const PAUSE_MS = 100;

/** A log that is put aside when it is large, a few of them kept, readable by their owner alone. What cannot be written is let go. */
function rotating(file: string) {
  let stream: RotatingFileStream | null = null;
  let closedAt = 0;
  const open = (): RotatingFileStream => {
    if (existsSync(file)) chmodSync(file, 0o600);
    const opened = createStream(basename(file), { path: dirname(file), size: '5M', maxFiles: FILES, mode: 0o600 }); // prettier-ignore
    opened.on('error', () => {
      if (stream === opened) stream = null;
      closedAt = Date.now();
      opened.destroy();
    });
    return opened;
  };
  let lines = '';
  let timer: NodeJS.Timeout | undefined;
  /** Writes what has come up, all at once. */
  const flush = () => {
    clearTimeout(timer);
    timer = undefined;
    const text = lines;
    lines = '';
    if (text === '' || (!stream && Date.now() - closedAt < OPEN_AGAIN_MS)) return;
    stream ??= open();
    stream.write(text);
  };
  return {
    write(line: string) {
      lines += line;
      if (lines.length > MAX_WAITING) flush();
      else timer ??= setTimeout(flush, PAUSE_MS).unref();
    },
    close: () =>
      new Promise<void>((resolve) => {
        flush();
        if (stream) stream.end(resolve);
        else resolve();
      }),
  };
}

/** Where in the program it happened, without what was said: that may hold what somebody typed. */
const placesIn = (error: Error): string[] => (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line)).slice(0, 8).map((line) => line.trim()); // prettier-ignore

const isOfDatabase = (error: Error): boolean => error instanceof BaseError || 'sqlState' in error;

/** A failure as it may stand in a log. What the database says repeats rows and statements, so only its code is taken. */
export function logged(error: unknown): object {
  if (!(error instanceof Error)) return { type: typeof error };
  const cause = 'parent' in error && error.parent instanceof Error ? error.parent : error;
  const code = 'code' in cause ? cause.code : undefined;
  const why = error.cause instanceof Error && !isOfDatabase(error.cause) ? error.cause.message : undefined;
  return {
    type: error.name,
    ...(code !== undefined && { code }),
    ...(!isOfDatabase(error) && { message: error.message.slice(0, 300) }),
    ...(why !== undefined && { why: why.slice(0, 300) }),
    at: placesIn(error),
  };
}

/** A log, and how it is ended. */
export interface Log {
  readonly logger: Logger;
  close(): Promise<void>;
}

/** Writes what happens to a file, or to standard output. */
export function createLog(file: string | null): Log {
  const options = { level: process.env['LOG_LEVEL'] ?? 'info' };
  if (file === null) return { logger: pino(options), close: async () => undefined };
  const destination = rotating(file);
  return { logger: pino(options, destination), close: destination.close };
}
