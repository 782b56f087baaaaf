import type { MixAnswer, MixRequest } from '@steady-scatter/core/mix';
import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { MixSearch } from '../workers/mix.worker.ts';

const PAUSE_MS = 150;

/** How the search stands; while one is under way the last answer stays. */
export interface MixState {
  readonly status: 'idle' | 'searching' | 'found' | 'failed';
  readonly answer: MixAnswer | null;
}

/** One search at a time, off the page's own thread; a newer question ends the search for an older one. */
function startSearch(request: MixRequest) {
  const worker = new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' });
  const search: Remote<MixSearch> = wrap<MixSearch>(worker);
  const failed = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new Error('The search could not start.')));
  });
  return { answer: Promise.race([search.findMix(request), failed]), end: () => worker.terminate() };
}

/**
 * The mix for a request, looked for in a worker whenever the request changes.
 *
 * @param request null while something needed for it is missing or wrong
 */
export function useMix(request: MixRequest | null): MixState {
  const [last, setLast] = useState<{ key: string; answer: MixAnswer | null } | null>(null);
  const key = request && JSON.stringify(request, (name, value: unknown) => (name === 'errors' ? [] : value));
  useEffect(() => {
    if (key === null) return undefined;
    let end: (() => void) | null = null;
    const timer = setTimeout(() => {
      const search = startSearch(JSON.parse(key) as MixRequest);
      end = search.end;
      search.answer
        .then((answer) => setLast({ key, answer }))
        .catch(() => setLast({ key, answer: null }))
        .finally(search.end);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      end?.();
    };
  }, [key]);
  if (key === null) return { status: 'idle', answer: null };
  if (last?.key !== key) return { status: 'searching', answer: last?.answer ?? null };
  return { status: last.answer ? 'found' : 'failed', answer: last.answer };
}
