import { useLocation } from 'react-router';
import { newHeldAs } from './drafts.ts';

/** What an address is given to go on with a new one that was begun. */
export interface GoOnWith {
  readonly draft: string;
}

const isGoOnWith = (state: unknown): state is GoOnWith =>
  typeof state === 'object' && state !== null && 'draft' in state && typeof state.draft === 'string';

/**
 * What a new one is held as: whoever asks for a new one gets another each time, and a page that is loaded again goes on with the same.
 * Where the app itself is opened, it goes on with what was begun last time it was opened so.
 *
 * @param asked tells one that is asked for with something apart, where the app is opened with it
 */
export function useHeldAs(asked = ''): string {
  const { key, state } = useLocation();
  if (isGoOnWith(state)) return state.draft;
  return key === 'default' ? (asked === '' ? 'new' : newHeldAs(asked)) : newHeldAs(key);
}
