import { onlineManager, type Mutation, type QueryClient } from '@tanstack/react-query';
import { say } from '@steady-scatter/words/common';
import type { HeldTable, Tabs } from '../device/index.ts';
import type { Base, DocumentEntry, Entry, Outcome, Refusal, Saving, Waiting } from './entries.ts';

/** Word between tabs: one has come, was changed or is gone. */
export type Word = { readonly changed: string };

interface Parts {
  readonly client: QueryClient;
  readonly rows: HeldTable<Waiting>;
  readonly tabs: Tabs<Word>;
  /** Sends one while no other tab does; what it answers is shown by then. */
  send(entry: Entry): Promise<unknown>;
  /** The failure passes by itself. */
  isPassing(error: unknown): boolean;
  refusalOf(error: unknown): Refusal;
  /** The installation that answers; null: not known yet. */
  installation(): string | null;
  alone<Value>(name: string, act: () => Promise<Value>): Promise<Value>;
}

const KEY = ['outbox'];
/** One after the other, in the order in which they came about. */
const SCOPE = { id: 'outbox' };
const LONGEST_WAIT_MS = 30_000;

class Refused extends Error {
  readonly refusal: Refusal;
  constructor(refusal: Refusal) {
    super(refusal.words);
    this.refusal = refusal;
  }
}

/**
 * What was saved on this device goes to the server in its order, as soon as that answers; what is refused stays, with the reason, and
 * holds back only what needs it. Mutations do the work: paused while nothing answers, held in a table, resumed by whoever loads
 * the page next.
 */
export function createOutbox({ client, rows, tabs, send, isPassing, refusalOf, installation, alone }: Parts) {
  const cache = client.getMutationCache();
  const sending = new Set<string>();
  /** Held by this page and never sent by it. */
  const unsent = new Set<string>();
  /** What was written last of each document: which version that started from, and what it came to. */
  const written = new Map<string, { readonly from: number; readonly base: Base }>();
  /** Who wants to know that one waits, by its id. */
  const passed = new Map<string, () => void>();

  const mutationOf = (id: string) =>
    cache
      .getAll()
      .find(
        ({ options, state }) =>
          options.mutationKey?.[0] === KEY[0] && (state.variables as Entry | undefined)?.id === id,
      );
  const forget = (id: string): void => {
    const mutation = mutationOf(id);
    if (mutation) cache.remove(mutation);
  };
  const put = async (waiting: Waiting): Promise<boolean> => {
    const isHeld = await rows.set(waiting.entry.id, waiting);
    tabs.tell({ changed: waiting.entry.id });
    return isHeld;
  };
  const take = async (id: string): Promise<void> => {
    unsent.delete(id);
    await rows.remove(id);
    tabs.tell({ changed: id });
  };
  const all = (): Waiting[] => rows.entries().map(([, waiting]) => waiting);

  /** Why one cannot be sent whatever the server says. */
  function blocked({ needs, installation: meant }: Entry): Refusal | null {
    const here = installation();
    if (meant !== null && here !== null && meant !== here)
      return {
        code: 'other-installation',
        words: say('common.otherInstallation'),
      };
    const missing = all().find(({ entry, refusal }) => refusal !== null && needs.includes(entry.about));
    return missing
      ? { code: 'held-back', words: say('common.waitsFor', { name: missing.entry.name }) }
      : null;
  }

  /** All that may have got to the server of what waits of a document. */
  const unansweredOf = ({ id, input, unanswered = [] }: DocumentEntry): readonly unknown[] =>
    unsent.has(id) ? unanswered : [...unanswered, input];

  async function sendOne({ id }: Entry): Promise<void> {
    await alone('outbox', async () => {
      // Another tab may have sent it.
      const isHeld = await rows.isHeld(id);
      const waiting = rows.get(id);
      // Somebody dropped it, or saved it anew meanwhile.
      if (!waiting) return;
      if (!isHeld) {
        await take(id);
        return;
      }
      const refusal = blocked(waiting.entry);
      if (refusal) throw new Refused(refusal);
      sending.add(id);
      unsent.delete(id);
      try {
        await send(waiting.entry);
      } catch (error) {
        if (isPassing(error)) passed.get(id)?.();
        throw error;
      } finally {
        sending.delete(id);
      }
      await take(id);
    });
  }

  client.setMutationDefaults(KEY, {
    mutationFn: (entry: Entry) => sendOne(entry),
    retry: (_, error) => isPassing(error),
    // Where nothing answers it is not tried again but waits until something does.
    retryDelay: (count) => (onlineManager.isOnline() ? Math.min(1000 * 2 ** count, LONGEST_WAIT_MS) : 0),
    networkMode: 'online',
    gcTime: Infinity,
  });

  /** Has a mutation carry one to the server; paused where nothing answers. */
  function carry(entry: Entry): Promise<Outcome> {
    const mutation = cache.build(
      client,
      client.defaultMutationOptions({ mutationKey: KEY, scope: SCOPE }),
    ) as Mutation<unknown, Error, Entry>;
    const done = mutation.execute(entry).then(
      async (): Promise<Outcome> => {
        cache.remove(mutation);
        wake(entry.about);
        return { state: 'sent' };
      },
      async (error: unknown): Promise<Outcome> => {
        cache.remove(mutation);
        const refusal = error instanceof Refused ? error.refusal : refusalOf(error);
        const now = rows.get(entry.id);
        if (now) await put({ entry: now.entry, refusal });
        return { state: 'refused', refusal };
      },
    );
    let stop = () => {};
    const silence = new Promise<Outcome>((resolve) => {
      const look = () => !onlineManager.isOnline() && resolve({ state: 'waiting' });
      stop = onlineManager.subscribe(look);
      passed.set(entry.id, () => resolve({ state: 'waiting' }));
      look();
    });
    return Promise.race([done, silence]).finally(() => {
      stop();
      passed.delete(entry.id);
    });
  }

  /** What was held back for the sake of something goes on. */
  function wake(about: string): void {
    for (const { entry, refusal } of all())
      if (refusal?.code === 'held-back' && entry.needs.includes(about)) void again(entry.id);
  }

  async function again(id: string): Promise<Outcome> {
    const waiting = rows.get(id);
    if (!waiting) return { state: 'sent' };
    forget(id);
    await put({ entry: waiting.entry, refusal: null });
    return carry(waiting.entry);
  }

  /** Another tab changed one: what is sent here is what it is by then. */
  async function followed(id: string): Promise<void> {
    await rows.follow(id);
    const now = rows.get(id);
    if (!now || now.refusal) forget(id);
    else if (!mutationOf(id)) void carry(now.entry);
  }

  tabs.hear(({ changed }) => {
    void followed(changed);
  });

  return {
    subscribe: rows.subscribe,
    /** All that waits or was refused, in the order in which it came about. */
    get: rows.entries,
    /** What waits of a document. */
    of: (about: string): Waiting | undefined => all().findLast(({ entry }) => entry.about === about),
    /** Takes up what an earlier page left. */
    async open(): Promise<void> {
      await rows.open();
      for (const { entry, refusal } of all()) if (!refusal) void carry(entry);
    },
    /**
     * Holds one on this device and sends it as soon as can be. A document that is saved anew takes the place of what waits of it.
     *
     * @returns whether the device has it, at once; and what became of it
     */
    add(entry: Entry): Saving {
      let next = entry;
      // Whoever saved it twice in a row may not have been shown yet what the first came to.
      const before = written.get(entry.about);
      if (entry.what === 'document' && before?.from === entry.base.version)
        next = { ...entry, base: before.base };
      if (entry.what === 'document')
        for (const { entry: earlier, refusal } of all()) {
          if (earlier.what !== 'document' || earlier.about !== entry.about || sending.has(earlier.id))
            continue;
          // What was refused was decided on by whoever saves over it.
          if (!refusal) next = { ...entry, base: earlier.base, unanswered: unansweredOf(earlier) };
          forget(earlier.id);
          void take(earlier.id);
        }
      unsent.add(next.id);
      const held = put({ entry: next, refusal: null });
      const send = async () => {
        await held;
        return carry(next);
      };
      return { held, outcome: send() };
    },
    /** Forgets all that waits. */
    async clear(): Promise<void> {
      written.clear();
      await rows.clear();
    },
    /** Sends one that was refused once more. */
    again,
    /** Sends one that was meant for another installation to this one. */
    async adopt(id: string): Promise<Outcome> {
      const waiting = rows.get(id);
      if (waiting) await put({ ...waiting, entry: { ...waiting.entry, installation: installation() } });
      return again(id);
    },
    /** Drops one for good. */
    async drop(id: string): Promise<void> {
      const waiting = rows.get(id);
      forget(id);
      await take(id);
      if (waiting) wake(waiting.entry.about);
    },
    /** Drops all that is of a document, and what needs it. */
    async dropAll(about: string): Promise<void> {
      const found = all().filter(({ entry }) => entry.about === about || entry.needs.includes(about));
      await Promise.all(found.map(({ entry }) => (forget(entry.id), take(entry.id))));
    },
    /** What waits of a document started from what stands there by now. @param from the version that was written over */
    async rebase(about: string, base: Base, from: number): Promise<void> {
      written.set(about, { from, base });
      for (const waiting of all())
        if (
          waiting.entry.what === 'document' &&
          waiting.entry.about === about &&
          !waiting.refusal &&
          !sending.has(waiting.entry.id)
        )
          // oxlint-disable-next-line no-await-in-loop -- there is one
          await put({ ...waiting, entry: { ...waiting.entry, base } });
    },
  };
}
