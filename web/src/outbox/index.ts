// What was saved here and has not reached the server: held on the device, sent in its order, refused with a reason.
import { useMemo, useSyncExternalStore } from 'react';
import { connectionStore } from '../api/connection.ts';
import { ApiProblem, Renewed } from '../api/errors.ts';
import { explain } from '../api/explain.ts';
import { isPassing } from '../api/passing.ts';
import { queries } from '../api/queries.ts';
import { alone, heldTable, tableOf, tabsOf } from '../device/index.ts';
import { createOutbox, type Word } from './createOutbox.ts';
import type { Entry, Refusal, Waiting } from './entries.ts';

export {
  aboutDocument,
  type Base,
  type DocumentEntry,
  type Entry,
  type Outcome,
  type PhotoEntry,
  type Refusal,
  type RowEntry,
  type Saving,
  type Waiting,
} from './entries.ts';

type Sender<What extends Entry['what']> = (entry: Extract<Entry, { what: What }>) => Promise<unknown>;
const senders: { [What in Entry['what']]?: Sender<What> } = {};

/** How what is saved here of one sort is sent: each says it of its own. */
export function sendsBy<What extends Entry['what']>(what: What, send: Sender<What>): void {
  senders[what] = send as (typeof senders)[What];
}

function refusalOf(error: unknown): Refusal {
  const words = explain(error);
  if (!(error instanceof ApiProblem)) return { code: 'trouble', words };
  const code = error.problem.type.replace('/problems/', '');
  return error.changedElsewhere ? { code, words, theirs: error.changedElsewhere.theirs } : { code, words };
}

const rows = heldTable(tableOf<Waiting>('outbox'));

export const outbox = createOutbox({
  client: queries,
  rows,
  tabs: tabsOf<Word>('outbox'),
  alone,
  refusalOf,
  // A device that is not paired (any more) keeps what it has until it is.
  isPassing: (error) =>
    isPassing(error) ||
    error instanceof Renewed ||
    (error instanceof ApiProblem && error.is('not-paired', 'too-many-requests')),
  installation: () => connectionStore.get().installation,
  async send(entry) {
    const send = senders[entry.what] as ((entry: Entry) => Promise<unknown>) | undefined;
    if (!send) throw new Error(`Nothing sends what is a ${entry.what}.`);
    return send(entry);
  },
});

/** All that waits here or was refused, in the order in which it came about. */
export function useOutbox(): readonly Waiting[] {
  const held = useSyncExternalStore(outbox.subscribe, outbox.get);
  return useMemo(() => held.map(([, waiting]) => waiting), [held]);
}

/** What waits here of a document. */
export const useWaiting = (about: string): Waiting | undefined =>
  useSyncExternalStore(outbox.subscribe, () => outbox.of(about));
