import { lazyPart } from '../ui/lazyPart.ts';
import { Suspense, useState, type ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { say } from '@steady-scatter/words/common';
import { explain } from '../api/explain.ts';
import type { Outcome } from '../outbox/index.ts';
import { keepFieldInFocus } from '../ui/fieldInFocus.ts';
import { useNotices } from '../notices/notices.tsx';
import type { ConflictProps } from './ConflictDialog.tsx';
import { docActs, type Doc } from './docs.ts';
import type { DocumentKind } from './documentKind.ts';
import { removingOf } from './removing.ts';
import type { useDocument } from './useDocument.ts';
import { oneOf } from '@steady-scatter/words/things';

const ConflictDialog = lazyPart(() => import('./ConflictDialog.tsx')) as unknown as <Input>(
  props: ConflictProps<Input>,
) => ReactNode;

type Open<Input extends FieldValues> = ReturnType<typeof useDocument<Input>>;

export const SAVED_HERE = say('common.savedHere');

/** What can be done with an open document from its screen: saving, discarding, deleting, and deciding where somebody else changed it. */
export function useDocumentCommands<Input extends FieldValues>(
  kind: DocumentKind<Input>,
  doc: Doc<Input> | null,
  open: Open<Input>,
) {
  const notices = useNotices();
  const navigate = useNavigate();
  const [isPending, setPending] = useState(false);
  const [dismissed, setDismissed] = useState<unknown>(null);
  const nameOf = (input: Input) => kind.kind.nameOf(input);
  const putBack = (typed: Input) => open.replace(typed);
  const told = async (outcome: Promise<Outcome>, input: Input) => {
    const { state, ...more } = await outcome;
    if (state === 'sent') notices.tell(say('common.savedNamed', { name: nameOf(input) }));
    else if (state === 'waiting') notices.tell(SAVED_HERE);
    else if ('refusal' in more && more.refusal.code !== 'changed-elsewhere') notices.tell(more.refusal.words);
  };

  async function save(then: ((id: string) => unknown) | null = null) {
    const { id, held, outcome } = open.save();
    setPending(true);
    setDismissed(null);
    try {
      await held;
      if (then) {
        if ((await outcome).state !== 'refused') then(id);
        return;
      }
      if (!doc) {
        keepFieldInFocus();
        await navigate(`${kind.home.path}/${id}`, { replace: true });
      }
      await told(outcome, open.values());
    } finally {
      setPending(false);
    }
  }

  async function saveOver(theirs: Doc<Input> | null, input: Input) {
    try {
      await told(open.saveOver(theirs, input), input);
    } catch (error) {
      notices.tell(explain(error));
    }
  }

  async function takeTheirs() {
    const theirs = open.conflict?.theirs ?? null;
    if (theirs) {
      const typed = await open.takeTheirs(theirs);
      notices.undoable(say('common.nowTheirs'), () => putBack(typed));
      return;
    }
    await open.forget();
    await navigate(kind.home.path);
  }

  const decide = open.conflict && open.conflict !== dismissed && (
    <Suspense fallback={null}>
      <ConflictDialog
        one={oneOf(kind.kind.name)}
        conflict={open.conflict}
        onClose={() => setDismissed(open.conflict)}
        onSave={(input) => {
          const theirs = open.conflict?.theirs ?? null;
          void saveOver(theirs, input);
        }}
        onTakeTheirs={() => void takeTheirs()}
      />
    </Suspense>
  );

  return {
    isPending,
    /** The dialog where somebody else changed it; it comes up by itself. */
    decide,
    /** Opens that dialog again. */
    onDecide: open.conflict ? () => setDismissed(null) : null,
    save,
    discard() {
      const typed = open.discard();
      notices.undoable(say('common.discarded'), () => putBack(typed));
    },
    async remove({ id, input }: Doc<Input>) {
      const { remove, restore } = docActs(kind);
      try {
        await remove(id);
        await open.forget();
        notices.undoable(`${removingOf(kind.kind).done} “${nameOf(input)}”.`, () => restore(id));
        await navigate(kind.home.path);
      } catch (error) {
        notices.tell(explain(error));
      }
    },
  };
}
