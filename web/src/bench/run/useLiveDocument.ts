import type { FieldValues } from 'react-hook-form';
import type { Doc } from '../../documents/docs.ts';
import type { DocumentKind } from '../../documents/documentKind.ts';
import { sameInput } from '../../documents/sameInput.ts';
import { useDocument, type DocumentStatus } from '../../documents/useDocument.ts';
import type { Refusal } from '../../outbox/index.ts';

/** How far what is typed has got, and what can be done where it was met by another change. */
export interface LiveState {
  readonly status: DocumentStatus;
  readonly refusal: Refusal | null;
  takeTheirs?(): Promise<unknown>;
  saveMine?(): Promise<unknown>;
}

/** A document that is worked on in the field: each step is saved as it is done, without a connection on this device alone. */
export function useLiveDocument<Input extends FieldValues>(kind: DocumentKind<Input>, doc: Doc<Input>) {
  const open = useDocument(kind, doc, { blank: () => doc.input });
  const { conflict, form, input, refusal, status } = open;
  return {
    input,
    refusal,
    status,
    /** Shows a change; it is held on this device. */
    type: open.change,
    /** Shows a change and saves it. */
    commit(next: Input) {
      open.change(next);
      if (!sameInput(form.getValues(), doc.input)) open.save();
    },
    ...(conflict?.theirs && {
      takeTheirs: () => open.takeTheirs(conflict.theirs as Doc<Input>),
      saveMine: () => open.saveOver(conflict.theirs, form.getValues()),
    }),
  };
}

export type Live<Input extends FieldValues> = ReturnType<typeof useLiveDocument<Input>>;
