import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { ApiProblem } from '../api/errors.ts';
import { explain } from '../api/explain.ts';
import { useWhenBack } from '../api/useWhenBack.ts';
import { useNotices } from '../ui/notices.tsx';
import { dropHeldDoc } from './docDrafts.ts';
import { docActs, type Doc } from './docs.ts';
import type { DocumentKind } from './documentKind.ts';
import { removingOf } from './removing.ts';

interface Keeping<Input> {
  kind: DocumentKind<Input>;
  doc: Doc<Input> | null;
  input: Input;
  /** What its draft is held under. */
  heldAs: string | null;
  replace(input: Input): void;
}

/** Keeping a thing, deleting it, and deciding when somebody else changed it. */
export function useKeepDoc<Input>({ kind, doc, input, heldAs, replace }: Keeping<Input>) {
  const { write: keep, remove, restore, adopt } = docActs(kind);
  const [isPending, setPending] = useState(false);
  const notices = useNotices();
  const navigate = useNavigate();
  const [freshId] = useState(() => newId());
  const [theirs, setTheirs] = useState<Doc<Input> | null>(null);
  const whenBack = useWhenBack(`${kind.kind.name}:${heldAs ?? 'new'}`, () => write(doc?.version ?? 0));

  async function write(version: number, then: ((id: string) => unknown) | null = null) {
    const id = doc?.id ?? freshId;
    setPending(true);
    whenBack.noMore();
    try {
      const kept = await keep(id, {
        version,
        input: doc && kind.beforeKeep ? kind.beforeKeep(doc.input, input) : input,
      });
      dropHeldDoc(kind, heldAs);
      setTheirs(null);
      if (then) {
        then(id);
        return;
      }
      notices.tell(`“${kind.kind.nameOf(kept.input)}” is kept.`);
      replace(kept.input);
      if (!doc && whenBack.isOpen()) await navigate(`${kind.home.path}/${id}`, { replace: true });
    } catch (error) {
      const met = error instanceof ApiProblem ? error.changedElsewhere?.theirs : null;
      if (met) setTheirs(kind.parts ? kind.parts.whole(met) : met);
      else notices.tell(whenBack.waitsFor(error) ?? explain(error));
    } finally {
      setPending(false);
    }
  }

  return {
    isPending,
    theirs,
    keep: (then: ((id: string) => unknown) | null = null) => void write(doc?.version ?? 0, then),
    keepMine: (over: Doc<Input>) => void write(over.version),
    async takeTheirs(taken: Doc<Input>) {
      await adopt(taken);
      replace(taken.input);
      dropHeldDoc(kind, taken.id);
      setTheirs(null);
      notices.undoable('Took theirs.', () => replace(input));
    },
    drop(kept: Input) {
      whenBack.noMore();
      replace(kept);
      dropHeldDoc(kind, heldAs);
      notices.undoable('Dropped what was not kept.', () => replace(input));
    },
    async remove({ id, input: of }: Doc<Input>) {
      try {
        await remove(id);
        whenBack.noMore();
        dropHeldDoc(kind, id);
        notices.undoable(`${removingOf(kind.kind).done} “${kind.kind.nameOf(of)}”.`, () => restore(id));
        await navigate(kind.home.path);
      } catch (error) {
        notices.tell(explain(error));
      }
    },
  };
}
