import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { connectionStore } from '../../api/connection.ts';
import { ApiProblem } from '../../api/errors.ts';
import { explain } from '../../api/explain.ts';
import { isPassing } from '../../api/whenBack.ts';
import { dropHeldDoc, heldDoc, useHoldDoc } from '../../documents/docDrafts.ts';
import { docActs, readDoc, type Doc } from '../../documents/docs.ts';
import type { DocumentKind } from '../../documents/documentKind.ts';
import { sameInput } from '../../documents/sameInput.ts';

/** How far what is typed has got: on the server, on its way, in this browser alone, or met by somebody else's change. */
export type Kept = 'kept' | 'keeping' | 'held' | 'elsewhere' | { readonly refused: string };

/** How far it has got, and what can be done where it was met by another change. */
export interface LiveState {
  readonly state: Kept;
  takeTheirs?(): Promise<void>;
  keepMine?(): Promise<void>;
}

/**
 * A kept thing that is worked on in the field: each step is kept as it is done; without a connection it stays in the browser and is
 * kept when the connection is back; what another device did is taken over while nothing is open here.
 */
export function useLiveDoc<Input>(kind: DocumentKind<Input>, doc: Doc<Input>) {
  const [input, setInput] = useState(() => heldDoc(kind, doc.id) ?? doc.input);
  const [state, setState] = useState<Kept>('kept');
  // What stands on the server as far as this device knows; beside it for what runs later than a drawing.
  const [known, setKnown] = useState(doc);
  const base = useRef(doc);
  const latest = useRef(input);
  const rest = useCallback((on: Doc<Input>) => {
    base.current = on;
    setKnown(on);
  }, []);
  const isNew = known.version === 0;
  const differs = isNew || !sameInput(input, known.input);
  useHoldDoc(kind, doc.id, input, differs);
  const show = useCallback((next: Input) => {
    latest.current = next;
    setInput(next);
  }, []);

  // One write at a time: what is typed while one is on its way goes with the next.
  const saving = useRef(false);
  const save = useCallback(async () => {
    if (saving.current) return;
    if (base.current.version > 0 && sameInput(latest.current, base.current.input)) {
      dropHeldDoc(kind, base.current.id);
      setState('kept');
      return;
    }
    saving.current = true;
    setState('keeping');
    try {
      // One of version 0 is not there yet.
      while (base.current.version === 0 || !sameInput(latest.current, base.current.input)) {
        const next = latest.current;
        const { id, version, input: before } = base.current;
        const sent = version === 0 ? next : (kind.beforeKeep?.(before, next) ?? next);
        // oxlint-disable-next-line no-await-in-loop -- each waits for the one before
        const kept = await docActs(kind).write(id, { version, input: sent });
        rest(kept);
        if (sameInput(latest.current, next)) show(kept.input);
      }
      dropHeldDoc(kind, base.current.id);
      setState('kept');
    } catch (error) {
      if (isPassing(error) || !(error instanceof ApiProblem)) setState('held');
      else setState(error.is('changed-elsewhere') ? 'elsewhere' : { refused: explain(error) });
    } finally {
      saving.current = false;
    }
  }, [kind, show, rest]);

  // What another device kept is shown, unless something is open here.
  useEffect(() => {
    if (doc.version <= base.current.version || saving.current) return;
    const untouched = sameInput(latest.current, base.current.input);
    if (!untouched) return;
    rest(doc);
    show(doc.input);
  }, [doc, show, rest]);

  useEffect(() => {
    if (isNew) void save();
  }, [isNew, save]);

  const { reachable } = useSyncExternalStore(connectionStore.subscribe, connectionStore.get);
  useEffect(() => {
    if (reachable && state === 'held') void save();
  }, [reachable, state, save]);

  return {
    input,
    state,
    /** Shows a change; it is held in the browser. */
    type: show,
    /** Shows a change and keeps it on the server. */
    commit(next: Input) {
      show(next);
      void save();
    },
    /** Drops what is typed here for what stands on the server. */
    async takeTheirs() {
      const theirs = await readDoc(kind, doc.id);
      rest(theirs);
      dropHeldDoc(kind, doc.id);
      show(theirs.input);
      setState('kept');
    },
    /** Keeps what is typed here over what stands on the server. */
    async keepMine() {
      rest(await readDoc(kind, doc.id));
      await save();
    },
  };
}
