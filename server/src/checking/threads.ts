import { Worker } from 'node:worker_threads';
import { ZodError } from 'zod';
import { plainProblem } from '../problems/HttpProblem.ts';
import { invalid } from '../problems/invalid.ts';
import type { Check } from './check.ts';
import type { Outcome, Task } from './worker.ts';

const THREADS = 2;
/** Longest that one thing may take to check, ms. */
const LIMIT_MS = 5000;
/** Most that may wait at once, so that nobody waits for good. */
const MAX_WAITING = 500;

/** What a task comes to. */
type Result = Exclude<Outcome, { ready: true }>;

interface Waiting {
  readonly task: Task;
  settle(outcome: Result | Error): void;
}

/** One thread with what it is at; one that takes too long is ended, and another takes its place. */
function thread(file: string | URL, limitMs: number, onFree: () => void) {
  let worker: Worker | null = null;
  let isReady = false;
  let current: Waiting | null = null;
  let timer: NodeJS.Timeout | undefined;

  function settle(outcome: Result | Error) {
    if (!current) return;
    const waiting = current;
    clearTimeout(timer);
    current = null;
    waiting.settle(outcome);
    onFree();
  }
  async function end(): Promise<void> {
    const ended = worker;
    worker = null;
    isReady = false;
    ended?.removeAllListeners();
    await ended?.terminate();
  }
  /** The time of a task runs from when the thread is there. */
  function time(): void {
    if (!current || !isReady) return;
    timer = setTimeout(() => {
      void end();
      settle(plainProblem('too-much-work'));
    }, limitMs);
  }
  function start(): Worker {
    const started = new Worker(file);
    started.unref();
    started.on('message', (outcome: Outcome) => {
      if (!('ready' in outcome)) return settle(outcome);
      isReady = true;
      return time();
    });
    const failed = (error: Error) => {
      void end();
      settle(error);
    };
    started.on('error', failed);
    started.on('exit', (code) => failed(new Error(`The checking thread ended with ${code}.`)));
    return started;
  }
  return {
    isFree: () => current === null,
    /** Starts it before there is anything to do, so that the first one does not wait for it. */
    begin: () => void (worker ??= start()),
    run(waiting: Waiting) {
      current = waiting;
      worker ??= start();
      worker.postMessage(waiting.task, []);
      time();
    },
    end,
  };
}

export interface Threads {
  readonly check: Check;
  close(): Promise<void>;
}

/**
 * Checks in threads, so that no check keeps anybody else waiting.
 *
 * @param file the built worker
 * @param limitMs longest that one check may take
 */
export function checkInThreads(file: string | URL, limitMs = LIMIT_MS): Threads {
  const queue: Waiting[] = [];
  const threads = Array.from({ length: THREADS }, () => thread(file, limitMs, next));
  for (const each of threads) each.begin();
  function next() {
    const free = threads.find((each) => each.isFree());
    const waiting = free && queue.shift();
    if (waiting) free.run(waiting);
  }
  const ask = (task: Task): Promise<Result> =>
    new Promise((resolve, reject) => {
      if (queue.length >= MAX_WAITING) throw plainProblem('busy');
      const settle = (outcome: Result | Error) =>
        outcome instanceof Error ? reject(outcome) : resolve(outcome);
      queue.push({ task, settle });
      next();
    });
  return {
    async check(asked, body) {
      const outcome = await ask({ asked, body });
      if ('checked' in outcome) return outcome.checked;
      if ('isLater' in outcome) throw plainProblem('later-version');
      if ('isUnreadable' in outcome) throw plainProblem('unreadable');
      if ('issues' in outcome) throw invalid(new ZodError(outcome.issues));
      throw Object.assign(new Error(outcome.broke.message), outcome.broke);
    },
    async close() {
      await Promise.all(threads.map((each) => each.end()));
    },
  };
}
