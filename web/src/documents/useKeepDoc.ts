import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { ApiProblem } from '../api/errors.ts';
import { explain } from '../api/explain.ts';
import { useWhenBack } from '../api/useWhenBack.ts';
import { useNotices } from '../ui/notices.tsx';
import { dropHeldDoc } from './docDrafts.ts';
import { docActs, type Doc, type DocKind } from './docs.ts';

interface Keeping<Typed extends { readonly name: string }> {
  kind: DocKind<Typed>;
  doc: Doc<Typed> | null;
  typed: Typed;
  /** What its draft is held under. */
  heldAs: string | null;
  replace(typed: Typed): void;
}

/** Keeping a thing, deleting it, and deciding when somebody else changed it. */
export function useKeepDoc<Typed extends { readonly name: string }>({
  kind,
  doc,
  typed,
  heldAs,
  replace,
}: Keeping<Typed>) {
  const { write: keep, remove, restore, adopt } = docActs(kind);
  const [isPending, setPending] = useState(false);
  const notices = useNotices();
  const navigate = useNavigate();
  const [freshId] = useState(() => newId());
  const [theirs, setTheirs] = useState<Doc<Typed> | null>(null);
  const whenBack = useWhenBack(`${kind.root}:${heldAs ?? 'new'}`, () => write(doc?.version ?? 0));

  async function write(version: number, then: ((id: string) => unknown) | null = null) {
    const id = doc?.id ?? freshId;
    setPending(true);
    whenBack.noMore();
    try {
      const kept = await keep(id, {
        version,
        typed: doc && kind.beforeKeep ? kind.beforeKeep(doc.typed, typed) : typed,
      });
      dropHeldDoc(kind.root, heldAs);
      setTheirs(null);
      if (then) {
        then(id);
        return;
      }
      notices.tell(`“${kept.typed.name}” is kept.`);
      replace(kept.typed);
      if (!doc && whenBack.isOpen()) await navigate(`${kind.home.path}/${id}`, { replace: true });
    } catch (error) {
      const met = error instanceof ApiProblem ? error.changedElsewhere?.theirs : null;
      // A write of this kind meets nothing but this kind.
      if (met && 'typed' in met) setTheirs(met as unknown as Doc<Typed>);
      else notices.tell(whenBack.waitsFor(error) ?? explain(error));
    } finally {
      setPending(false);
    }
  }

  return {
    isPending,
    theirs,
    keep: (then: ((id: string) => unknown) | null = null) => void write(doc?.version ?? 0, then),
    keepMine: (over: Doc<Typed>) => void write(over.version),
    async takeTheirs(taken: Doc<Typed>) {
      await adopt(taken);
      replace(taken.typed);
      dropHeldDoc(kind.root, taken.id);
      setTheirs(null);
      notices.undoable('Took theirs.', () => replace(typed));
    },
    drop(kept: Typed) {
      whenBack.noMore();
      replace(kept);
      dropHeldDoc(kind.root, heldAs);
      notices.undoable('Dropped what was not kept.', () => replace(typed));
    },
    async remove({ id, typed: { name } }: Doc<Typed>) {
      try {
        await remove(id);
        whenBack.noMore();
        dropHeldDoc(kind.root, id);
        notices.undoable(`Deleted “${name}”.`, () => restore(id));
        await navigate(kind.home.path);
      } catch (error) {
        notices.tell(explain(error));
      }
    },
  };
}
