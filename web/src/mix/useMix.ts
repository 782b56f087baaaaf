import type { MixAnswer, MixRequest } from '@steady-scatter/core/mix';
import type { MixSearch } from '../workers/mix.worker.ts';
import { useWork } from '../workers/useWork.ts';

const PAUSE_MS = 150;
const open = () => new Worker(new URL('../workers/mix.worker.ts', import.meta.url), { type: 'module' });

/** How the search stands; while one is under way the last answer stays. */
export interface MixState {
  readonly status: 'idle' | 'searching' | 'found' | 'failed';
  readonly answer: MixAnswer | null;
}

/**
 * The mix for a request, looked for in a worker whenever the request changes.
 *
 * @param request null while something needed for it is missing or wrong
 */
export function useMix(request: MixRequest | null): MixState {
  const key = request && JSON.stringify(request, (name, value: unknown) => (name === 'errors' ? [] : value));
  const { last, isCurrent } = useWork<MixSearch, MixAnswer>({ open, key, pauseMs: PAUSE_MS }, (search) =>
    search.findMix(JSON.parse(key ?? 'null') as MixRequest),
  );
  if (key === null) return { status: 'idle', answer: null };
  if (!isCurrent) return { status: 'searching', answer: last };
  return { status: last ? 'found' : 'failed', answer: last };
}
