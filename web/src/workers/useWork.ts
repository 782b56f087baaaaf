import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';

/** What is done in a worker; it tells how much of it is done, from 0 to 1. */
export type Work<Api, Answer> = (api: Remote<Api>, onShare: (share: number) => void) => Promise<Answer>;

/** One piece of work under way. */
export interface Running<Answer> {
  readonly done: Promise<Answer>;
  /** Stops it at once, whatever it is at. */
  end(): void;
}

/**
 * Does one piece of work in a worker of its own, which ends with it.
 *
 * @param open makes the worker
 * @param onShare hears how much is done; never after the end
 */
export function startWork<Api, Answer>(
  open: () => Worker,
  work: Work<Api, Answer>,
  onShare: (share: number) => void = () => undefined,
): Running<Answer> {
  const worker = open();
  let isOver = false;
  const end = () => {
    isOver = true;
    worker.terminate();
  };
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('The worker could not start.')));
  });
  const share = (now: number) => {
    if (!isOver) onShare(now);
  };
  const done = Promise.race([work(wrap<Api>(worker), proxy(share)), failed]).finally(end);
  return { done, end };
}

interface Asked {
  open(): Worker;
  /** What is asked for: another one ends the work on the one before; null: nothing. */
  key: unknown;
  /** It begins when the question has rested for so long, ms. */
  pauseMs?: number;
}

interface Done<Answer> {
  readonly key: unknown;
  /** Null: it did not come to its end. */
  readonly answer: Answer | null;
}

/**
 * Has a worker answer what is asked now. Leaving, or another question, stops it.
 *
 * @returns the last answer, whether it is of what is asked now, and how much is done; `stop` gives this question up
 */
export function useWork<Api, Answer>({ open, key, pauseMs = 0 }: Asked, work: Work<Api, Answer>) {
  const [last, setLast] = useState<Done<Answer> | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [stopped, setStopped] = useState<unknown>(null);
  const latest = useRef({ open, work });
  useEffect(() => {
    latest.current = { open, work };
  });
  useEffect(() => {
    if (key === null || stopped === key) return undefined;
    let end = () => {};
    const begin = async () => {
      const running = startWork(latest.current.open, latest.current.work, setShare);
      ({ end } = running);
      const answer = await running.done.catch(() => null);
      setLast({ key, answer });
      setShare(null);
    };
    const timer = setTimeout(() => void begin(), pauseMs);
    return () => {
      clearTimeout(timer);
      end();
      setShare(null);
    };
  }, [key, stopped, pauseMs]);
  return {
    last: last?.answer ?? null,
    isCurrent: key !== null && last !== null && last.key === key,
    share,
    stop: () => setStopped(key),
  };
}
