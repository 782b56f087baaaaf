import { SAVED_WORDS, STATUS_WORDS } from './statusWords.ts';
import { Box, Button, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { RotateCcw } from 'lucide-react';
import { memo, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { useParams } from 'react-router';
import { say } from '@steady-scatter/words/common';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { goOnWithEnter } from '../ui/goOnWithEnter.ts';
import { OpeningMessage } from './OpeningMessage.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { useDoc, type Doc } from './docs.ts';
import type { DocumentKind } from './documentKind.ts';
import { fieldsOf, type FieldsOf } from './fields.ts';
import { removingOf } from './removing.ts';
import { useDocument, type DocumentStatus } from './useDocument.ts';
import { useStable } from '../ui/useStable.ts';
import { useDocumentCommands } from './useDocumentCommands.tsx';
import { oneOf } from '@steady-scatter/words/things';
import { UnfinishedNew } from './UnfinishedNew.tsx';
import { useHeldAs } from './useHeldAs.ts';

/** What the form of a thing is given. */
export interface DocFormProps<Input extends FieldValues> extends FieldsOf<Input> {
  input: Input;
  errorAt(field: string): InputError | undefined;
  onChange(input: Input): void;
}

/** The same with the way on, for forms that lead to another screen. */
export interface DocFormWithWayOn<Input extends FieldValues> extends DocFormProps<Input> {
  /** Keeps it if that is still to be done, then goes on with its id; what is wrong is said instead. */
  keepThen(go: (id: string) => void): void;
}

interface Props<Input extends FieldValues> {
  kind: DocumentKind<Input>;
  /** An empty one. */
  blank(): Input;
  /** What a new one is asked for with, from elsewhere. */
  askedAs?: string | undefined;
  renderForm(props: DocFormWithWayOn<Input>, isSample: boolean): ReactNode;
  /** Further acts for one that is kept. */
  renderActs?(doc: Doc<Input>): ReactNode;
  /** Where to go once it is saved, in place of its own page. */
  onSaved?(id: string): void;
  /** The form takes all the width there is. */
  wide?: boolean;
}

/** What stands in the way of what was saved, and what can be done about it. */
const RefusalNotice = ({ words, onDecide }: { words: string; onDecide: (() => void) | null }) => (
  <Box
    role="alert"
    bg="paper"
    borderWidth="2px"
    borderColor="warn"
    borderRadius="8px"
    padding="14px"
    marginBottom="18px"
  >
    <b>{onDecide ? say('common.changedElsewhereStop') : say('common.notSaved')}</b> {words}
    {onDecide && (
      <Button marginLeft="14px" onClick={onDecide}>
        {say('common.compare')}
      </Button>
    )}
  </Box>
);

interface HeadingProps {
  kind: Parameters<typeof removingOf>[0];
  /** What it is called; empty: nothing yet. */
  name: string;
  /** Null: a new one. */
  doc: Doc<unknown> | null;
  status: DocumentStatus;
  /** Something is typed over what is saved. */
  differs: boolean;
  isPending: boolean;
  acts: ReactNode;
  onRemove(): void;
  onDiscard(): void;
  onSave(): void;
}

/** What it is and how far it has got on the left, what can be done with it on the right. */
const Heading = memo(function HeadingOf(props: HeadingProps) {
  const { kind, name, doc, status, differs, isPending, acts, onRemove, onDiscard, onSave } = props;
  const removing = removingOf(kind);
  const isSaved = status === 'saved' || status === 'on-device';
  return (
    <TopBar
      acts={
        <>
          {acts}
          {doc && <CommandButton icon={removing.icon} label={removing.act} onClick={onRemove} />}
          {(differs || status === 'refused') && (
            <CommandButton icon={RotateCcw} label={say('common.discardChanges')} onClick={onDiscard} />
          )}
          <Button variant={isSaved ? 'outline' : 'solid'} loading={isPending} onClick={onSave}>
            {SAVED_WORDS[status] ?? say('common.saveOne', { one: oneOf(kind.name) })}
          </Button>
        </>
      }
    >
      <chakra.h1 fontSize="21px" fontWeight="bold" overflowWrap="anywhere">
        {doc ? name : say('common.newOne', { one: oneOf(kind.name) })}
      </chakra.h1>
      {doc?.isSample && <SampleBadge />}
      {STATUS_WORDS[status] && (
        <chakra.span fontSize="15px" color="ink.soft">
          {STATUS_WORDS[status]}
        </chakra.span>
      )}
    </TopBar>
  );
});

function DocSheet<Input extends FieldValues>({
  kind,
  doc,
  blank,
  renderForm,
  renderActs,
  onSaved,
  heldAs,
  wide = false,
}: Omit<Props<Input>, 'askedAs'> & { doc: Doc<Input> | null; heldAs: string }) {
  const open = useDocument(kind, doc, { blank, heldAs });
  const { input, differs, refusal, status } = open;
  const commands = useDocumentCommands(kind, doc, open);
  const [tried, setTried] = useState(false);
  const one = oneOf(kind.kind.name);
  // What is wrong is said after the key is shown.
  const resting = useDeferredValue(input);
  const errors = useMemo(() => kind.kind.evaluate(resting).errors, [kind, resting]);
  // What is still missing is asked for when the thing is kept, not while it is being typed.
  const shown = errors.filter(({ code }) => tried || !code.endsWith('.empty'));
  const errorAt = (field: string) => shown.find((error) => error.field === field);
  const toFirstError = () =>
    void setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid=true]')?.focus());

  const save = (then: ((id: string) => void) | null = null) => {
    setTried(true);
    void open.form.handleSubmit(() => commands.save(then), toFirstError)();
  };
  const onSave = useStable(() => save(onSaved ?? null));
  const onDiscard = useStable(commands.discard);
  const onRemove = useStable(() => doc && void commands.remove(doc));
  // What it offers hangs on what is saved, not on what is typed.
  // oxlint-disable-next-line react/exhaustive-deps -- pages write it anew at each render
  const acts = useMemo(() => doc && renderActs?.(doc), [doc]);
  useCommands([
    { id: `keep-${kind.kind.name}`, label: say('common.saveOne', { one }), keys: 'Ctrl+S', run: onSave },
  ]);
  const isSaved = status === 'saved' || status === 'on-device';

  return (
    <>
      <title>
        {say('common.pageTitle', { name: kind.kind.nameOf(input) || say('common.newOne', { one }) })}
      </title>
      <Heading
        kind={kind.kind}
        name={doc ? kind.kind.nameOf(doc.input) : ''}
        doc={doc}
        status={status}
        differs={differs}
        isPending={commands.isPending}
        acts={acts}
        onRemove={onRemove}
        onDiscard={onDiscard}
        onSave={onSave}
      />
      <Box
        as="main"
        id="main"
        padding={{ base: '8px 16px 24px', md: '8px 24px 32px' }}
        maxWidth={wide ? undefined : '1100px'}
        onKeyDown={goOnWithEnter}
      >
        {doc === null && <UnfinishedNew kind={kind} heldAs={heldAs} />}
        {refusal && <RefusalNotice words={refusal.words} onDecide={commands.onDecide} />}
        {renderForm(
          {
            input,
            onChange: open.change,
            errorAt,
            ...fieldsOf(open.form, input, errorAt),
            // Asked a moment after something was changed, it has to be saved with that.
            keepThen: (go) => (isSaved && doc && !open.differsNow() ? go(doc.id) : save(go)),
          },
          doc?.isSample ?? false,
        )}
      </Box>
      {commands.decide}
    </>
  );
}

/** A kept thing, opened by the id in the address, or a new one: typed, held in the browser, kept. */
export function DocPage<Input extends FieldValues>({ askedAs, ...props }: Props<Input>) {
  const { id = null } = useParams();
  const { kind } = props;
  const heldAs = useHeldAs(askedAs);
  const { data, error, refetch } = useDoc(kind, id);
  if (id === null) return <DocSheet key={heldAs} {...props} doc={null} heldAs={heldAs} />;
  if (data) return <DocSheet key={data.id} {...props} doc={data} heldAs={data.id} />;
  return (
    <OpeningMessage
      one={oneOf(kind.kind.name)}
      home={kind.home}
      error={error}
      onAgain={() => void refetch()}
    />
  );
}
