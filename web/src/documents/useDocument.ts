import type { InputError } from '@steady-scatter/core/errors';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import {
  useForm,
  useWatch,
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import { v7 as newId } from 'uuid';
import { aboutDocument, outbox, useWaiting, type Outcome, type Waiting } from '../outbox/index.ts';
import { docActs, type Doc } from './docs.ts';
import type { DocumentKind } from './documentKind.ts';
import { dropDraft, holdDraft, openDraft, useOtherTab, type Draft } from './drafts.ts';
import { useShared } from '../ui/useShared.ts';
import { LongList, packed, unpacked, valuesOf } from './longList.ts';
import { sameInput } from './sameInput.ts';
import { saveDoc } from './saving.ts';

/** How far a document has got: typed, saved on this device, saved on the server; or it waits for somebody to decide. */
export type DocumentStatus = 'new' | 'draft' | 'on-device' | 'saved' | 'refused';

/** What was saved here met what somebody else saved. */
export interface Conflict<Input> {
  /** What both began from; null where it is not known. */
  readonly base: Input | null;
  readonly mine: Input;
  /** What stands on the server; null when it was deleted. */
  readonly theirs: Doc<Input> | null;
}

interface Opening<Input> {
  /** What a new one begins with. */
  blank(): Input;
  /** What a new one is held as while it is typed. */
  heldAs?: string | undefined;
}

/** What a form began with. */
interface Base<Input> {
  readonly version: number;
  readonly input: Input;
}

/** The errors of the core reader that keep a document from being saved. */
export function stoppingErrors<Input>({ kind }: DocumentKind<Input>, values: Input): readonly InputError[] {
  // A copy: the form changes its values in place, and what was read of an object once is remembered.
  return kind.evaluate(structuredClone(values)).errors;
}

const resolverOf =
  <Input extends FieldValues>(kind: DocumentKind<Input>): Resolver<Input> =>
  (values) => {
    const errors = stoppingErrors(kind, unpacked(values, kind.longList));
    return errors.length === 0
      ? { values, errors: {} }
      : { values: {}, errors: { core: { type: 'core', errors } } as never };
  };

/** What was refused is typed again. */
function refusedAs<Input>({ kind, parts }: DocumentKind<Input>, about: string): Draft<Input> | null {
  const waiting = outbox.of(about);
  if (parts || !waiting?.refusal || waiting.entry.what !== 'document') return null;
  const read = kind.schema.safeParse(waiting.entry.input);
  return read.success ? { input: read.data, base: waiting.entry.base as Base<Input> } : null;
}

/** Drops what waits of the document itself; what was measured of it waits on. */
async function dropOwn(about: string): Promise<void> {
  const waiting = outbox.of(about);
  if (waiting) await outbox.drop(waiting.entry.id);
}

interface Standing {
  readonly isNew: boolean;
  readonly differs: boolean;
  readonly waiting: Waiting | undefined;
}

function statusOf({ isNew, differs, waiting }: Standing): DocumentStatus {
  if (waiting?.refusal) return 'refused';
  if (differs) return 'draft';
  if (isNew) return 'new';
  return waiting ? 'on-device' : 'saved';
}

/** Puts other values in place of those that were drawn: what of them changed, and nothing else. */
function changeIn<Input extends FieldValues>(form: UseFormReturn<Input>, drawn: Input, next: Input): void {
  for (const key of new Set([...Object.keys(drawn), ...Object.keys(next)])) {
    if (next[key] === drawn[key]) continue;
    const isLong: boolean = (form.getValues(key as Path<Input>) as unknown) instanceof LongList;
    const value: unknown = isLong ? new LongList(next[key] as unknown[]) : next[key];
    form.setValue(key as Path<Input>, value as PathValue<Input, Path<Input>>, { shouldDirty: true });
  }
}

type Values<Input extends FieldValues> = ReturnType<typeof valuesOf<Input>>;

interface Following<Input extends FieldValues> {
  doc: Doc<Input> | null;
  saved: Input;
  values: Values<Input>;
  isRefused: boolean;
  first: Base<Input>;
}

/**
 * What is saved anew, here or on another device, is shown, unless something else is being typed over it or waits to be decided; and what
 * is typed starts from it then.
 */
function useFollowing<Input extends FieldValues>({ doc, saved, values, isRefused, first }: Following<Input>) {
  const base = useRef(first);
  const sent = useRef<Input | null>(null);
  const version = doc?.version ?? 0;
  const followed = useRef({ version, saved });
  const [baseVersion, setBaseVersion] = useState(first.version);
  const startFrom = useCallback((next: Base<Input>) => {
    base.current = next;
    setBaseVersion(next.version);
  }, []);
  useEffect(() => {
    const before = followed.current;
    // What was seen later already is not gone back on.
    if (isRefused || version < base.current.version) return;
    if (before.saved === saved && before.version === version) return;
    followed.current = { saved, version };
    const isOwn = sameInput(before.saved, saved) || sameInput(sent.current, saved);
    const isUntouched = !isOwn && sameInput(values.get(), before.saved);
    if (isUntouched) values.put(saved);
    if (isOwn || isUntouched) startFrom({ version, input: saved });
  });
  return {
    baseVersion,
    base,
    noteSent: useCallback((input: Input) => {
      sent.current = input;
    }, []),
    /** Some state of it was saved from here. */
    wasSent: useCallback(() => sent.current !== null, []),
    /** It was saved as it stands here: what is shown of it comes from the server from then on. */
    isSent: useCallback((input: Input) => sameInput(sent.current, input), []),
    /** Shows another state of it as the one that is typed from. */
    show: useCallback(
      (next: Base<Input>, shown: Input = next.input) => {
        startFrom(next);
        followed.current = { saved: next.input, version: next.version };
        values.put(shown);
      },
      [values, startFrom],
    ),
  };
}

/** The conflict that a refused save met, as whole documents. */
function useConflict<Input extends FieldValues>(
  { parts }: DocumentKind<Input>,
  waiting: Waiting | undefined,
  values: Values<Input>,
): Conflict<Input> | null {
  return useMemo(() => {
    if (waiting?.refusal?.code !== 'changed-elsewhere' || waiting.entry.what !== 'document') return null;
    const stored = waiting.refusal.theirs as Doc<never> | null | undefined;
    const theirs = stored ? (parts ? parts.whole(stored) : stored) : null;
    return { base: parts ? null : (waiting.entry.base.input as Input), mine: values.get(), theirs };
  }, [waiting, parts, values]);
}

/**
 * A document open for typing: a form of its fields, its draft on this device, saving, and what to do where somebody else changed it.
 * One for every kind; whoever works in the field saves each step with it, whoever sits at a desk presses Save.
 *
 * @param doc null: a new one
 */
export function useDocument<Input extends FieldValues>(
  kind: DocumentKind<Input>,
  doc: Doc<Input> | null,
  { blank, heldAs: newAs = 'new' }: Opening<Input>,
) {
  const [freshId] = useState(() => newId());
  const [empty] = useState(blank);
  const id = doc?.id ?? freshId;
  const heldAs = doc?.id ?? newAs;
  const about = aboutDocument(kind.kind.name, id);
  const waiting = useWaiting(about);
  const refusal = waiting?.refusal ?? null;
  const saved = useShared(doc?.input ?? empty);
  const isNew = doc === null;

  const [draft] = useState(() => openDraft(kind, heldAs) ?? refusedAs(kind, about));
  const form = useForm<Input>({
    defaultValues: packed(draft?.input ?? saved, kind.longList) as DefaultValues<Input>,
    resolver: resolverOf(kind),
    // What is wrong is shown as it is typed, by the page; here it only keeps from saving.
    reValidateMode: 'onSubmit',
    shouldFocusError: false,
  });
  const values = useMemo(() => valuesOf(form, kind.longList), [form, kind]);
  const input = useShared(unpacked(useWatch({ control: form.control }) as Input, kind.longList), saved);
  const differs = !sameInput(input, saved);
  const first = draft?.base ?? { version: doc?.version ?? 0, input: saved };
  const isRefused = refusal !== null;
  const following = useFollowing({ doc, saved, values, isRefused, first });
  const { base, baseVersion, noteSent, wasSent, isSent, show } = following;
  const conflict = useConflict(kind, waiting, values);

  // What is typed is held while it differs from what is saved: at once, so that nothing is lost whatever comes next.
  useEffect(() => {
    // A new one that is saved goes on under its own address, and what is typed until that is open goes on with it.
    const isGoing = isNew && wasSent() && !isRefused;
    const at = isGoing ? id : heldAs;
    if (differs && !(isNew && isSent(input)))
      void holdDraft(kind, at, { input, base: isGoing ? null : base.current });
    else dropDraft(kind, at);
    if (isNew) dropDraft(kind, isGoing ? heldAs : id);
    // oxlint-disable-next-line react/exhaustive-effect-dependencies -- what it started from is held with it, also where that is told only now
  }, [kind, id, heldAs, input, differs, base, baseVersion, isNew, isSent, wasSent, isRefused]);

  const send = (next: Input) => {
    const saving = saveDoc(kind, id, { base: base.current, input: next });
    noteSent(saving.shown);
    if (saving.shown !== next) values.put(saving.shown);
    dropDraft(kind, heldAs);
    return { id, ...saving };
  };
  /** Lets go of all that waits or is typed of it. */
  const forget = async () => {
    await dropOwn(about);
    dropDraft(kind, heldAs);
  };

  return {
    id,
    form,
    input,
    conflict,
    refusal,
    differs,
    forget,
    /** Another tab of this browser types on it too. */
    otherTab: useOtherTab(kind.kind.name, heldAs),
    /** Somebody saved it since what is typed here began. */
    isOvertaken: differs && doc !== null && doc.version > baseVersion,
    status: statusOf({ isNew, differs, waiting }),
    change: (next: Input) => changeIn(form, input, next),
    replace: values.put,
    /** As it is typed at this moment. */
    values: values.get,
    /** Whether it differs from what is saved at this moment, drawn or not. */
    differsNow: () => !sameInput(values.get(), saved),
    /** Saves what is typed: on this device at once, on the server as soon as that answers. */
    save() {
      const typed = values.get();
      const next = doc && kind.beforeKeep ? kind.beforeKeep(doc.input, typed) : typed;
      if (next !== typed) values.put(next);
      return send(structuredClone(next));
    },
    /** Goes back to what is saved; gives what was typed, for a way back. */
    discard(): Input {
      const typed = structuredClone(values.get());
      show(conflict?.theirs ?? { version: doc?.version ?? 0, input: saved });
      if (refusal) void dropOwn(about);
      dropDraft(kind, heldAs);
      return typed;
    },
    /** Takes what stands on the server in place of what is typed; gives what was typed. */
    async takeTheirs(theirs: Doc<Input>): Promise<Input> {
      const typed = structuredClone(values.get());
      show(theirs);
      dropDraft(kind, heldAs);
      await docActs(kind).adopt(theirs);
      await forget();
      return typed;
    },
    /** Saves one over what stands on the server; over what was deleted there, once that is back. */
    async saveOver(theirs: Doc<Input> | null, next: Input): Promise<Outcome> {
      const over = theirs ?? (await docActs(kind).restore(id));
      const mine = kind.beforeKeep ? kind.beforeKeep(over.input, next) : next;
      show(over, mine);
      return send(mine).outcome;
    },
  };
}
