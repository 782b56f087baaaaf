import { useCallback, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { connectionStore } from '../../api/connection.ts';
import { ApiProblem } from '../../api/errors.ts';
import { explain } from '../../api/explain.ts';
import { isPassing } from '../../api/whenBack.ts';
import { dropHeldDoc, heldDoc, useHoldDoc } from '../../documents/docDrafts.ts';
import { docActs, type Doc, type DocKind } from '../../documents/docs.ts';

/** How far what is typed has got: on the server, on its way, in this browser alone, or met by somebody else's change. */
export type Kept = 'kept' | 'keeping' | 'held' | 'elsewhere' | { readonly refused: string };

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A kept thing that is worked on in the field: each step is kept as it is done; without a connection it stays in the browser and is
 * kept when the connection is back; what another device did is taken over while nothing is open here.
 */
export function useLiveDoc<Typed extends { readonly name: string }>(kind: DocKind<Typed>, doc: Doc<Typed>) {
  const [typed, setTyped] = useState(() => heldDoc(kind, doc.id) ?? doc.typed);
  const [state, setState] = useState<Kept>('kept');
  // What stands on the server as far as this device knows; beside it for what runs later than a drawing.
  const [known, setKnown] = useState(doc);
  const base = useRef(doc);
  const latest = useRef(typed);
  const rest = useCallback((on: Doc<Typed>) => {
    base.current = on;
    setKnown(on);
  }, []);
  const differs = !same(typed, known.typed);
  useHoldDoc(kind.root, doc.id, typed, differs);
  const show = useCallback((next: Typed) => {
    latest.current = next;
    setTyped(next);
  }, []);

  // One write at a time: what is typed while one is on its way goes with the next.
  const saving = useRef(false);
  const save = useCallback(async () => {
    if (saving.current) return;
    saving.current = true;
    setState('keeping');
    try {
      while (!same(latest.current, base.current.typed)) {
        const next = latest.current;
        const { id, version, typed: before } = base.current;
        const sent = kind.beforeKeep?.(before, next) ?? next;
        // oxlint-disable-next-line no-await-in-loop -- each waits for the one before
        const kept = await docActs(kind).write(id, { version, typed: sent });
        rest(kept);
        if (same(latest.current, next)) show(kept.typed);
      }
      dropHeldDoc(kind.root, base.current.id);
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
    const untouched = same(latest.current, base.current.typed);
    if (!untouched) return;
    rest(doc);
    show(doc.typed);
  }, [doc, show, rest]);

  const { reachable } = useSyncExternalStore(connectionStore.subscribe, connectionStore.get);
  useEffect(() => {
    if (reachable && state === 'held') void save();
  }, [reachable, state, save]);

  return {
    typed,
    state,
    /** Shows a change; it is held in the browser. */
    type: show,
    /** Shows a change and keeps it on the server. */
    commit(next: Typed) {
      show(next);
      void save();
    },
    /** Drops what is typed here for what stands on the server. */
    async takeTheirs() {
      const theirs = await kind.read(doc.id, new AbortController().signal);
      rest(theirs);
      dropHeldDoc(kind.root, doc.id);
      show(theirs.typed);
      setState('kept');
    },
    /** Keeps what is typed here over what stands on the server. */
    async keepMine() {
      rest(await kind.read(doc.id, new AbortController().signal));
      await save();
    },
  };
}
