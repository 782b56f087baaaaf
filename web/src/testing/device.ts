import '../wiring.ts';
import { connectionStore, noteAnswer, notePaired } from '../api/connection.ts';
import { queries } from '../api/queries.ts';
import { drafts } from '../documents/drafts.ts';
import { outbox, type Waiting } from '../outbox/index.ts';

queries.mount();

/** A device that holds nothing, at a server that answers. */
export async function freshDevice(): Promise<void> {
  queries.clear();
  localStorage.clear();
  sessionStorage.clear();
  await Promise.all([drafts.clear(), outbox.clear()]);
  answers();
  notePaired(true);
}

/** The server answers again. */
export const answers = (): void => noteAnswer(null, Date.now());

/** What waits on this device, or was refused. */
export const waitingHere = (): Waiting[] => outbox.get().map(([, waiting]) => waiting);

export const isReachable = (): boolean => connectionStore.get().reachable;
