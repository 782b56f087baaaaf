import { Box, Button, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import { RotateCcw } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useParams } from 'react-router';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { OpeningMessage } from '../ui/OpeningMessage.tsx';
import { SampleBadge } from '../ui/SampleBadge.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { heldDoc, useHoldDoc } from './docDrafts.ts';
import { useDoc, type Doc } from './docs.ts';
import type { DocumentKind } from './documentKind.ts';
import { mergedOver } from './mergedOver.ts';
import { removingOf } from './removing.ts';
import { sameInput } from './sameInput.ts';
import { useKeepDoc } from './useKeepDoc.ts';

/** What the form of a thing is given. */
export interface DocFormProps<Input> {
  input: Input;
  errorAt(field: string): InputError | undefined;
  onChange(input: Input): void;
}

/** The same with the way on, for forms that lead to another screen. */
export interface DocFormWithWayOn<Input> extends DocFormProps<Input> {
  /** Keeps it if that is still to be done, then goes on with its id; what is wrong is said instead. */
  keepThen(go: (id: string) => void): void;
}

interface Props<Input> {
  kind: DocumentKind<Input>;
  /** An empty one. */
  blank(): Input;
  /** Tells a new one that was asked for from elsewhere apart from the unfinished draft of another. */
  askedAs?: string | undefined;
  renderForm(props: DocFormWithWayOn<Input>, isSample: boolean): ReactNode;
  /** Further acts for one that is kept. */
  renderActs?(doc: Doc<Input>): ReactNode;
  /** The form takes all the width there is. */
  wide?: boolean;
}

const ConflictNotice = ({ name, onMine, onTheirs }: { name: string; onMine(): void; onTheirs(): void }) => (
  <Box
    role="alert"
    bg="paper"
    borderWidth="2px"
    borderColor="warn"
    borderRadius="8px"
    padding="14px"
    marginBottom="18px"
  >
    <b>Changed elsewhere.</b> Somebody kept this as “{name}” since you opened it.
    <Box display="flex" gap="10px" marginTop="10px">
      <Button onClick={onTheirs}>Take theirs</Button>
      <Button onClick={onMine}>Keep mine</Button>
    </Box>
  </Box>
);

/** What is kept anew, here or on another device, is shown, unless something else is being typed over it. */
function useFollow<Input>(kept: Input, inForm: () => Input, replace: (input: Input) => void) {
  const followed = useRef(kept);
  useEffect(() => {
    const before = followed.current;
    followed.current = kept;
    // What the form has by now, not what was drawn last: two changes may come between two drawings.
    if (before !== kept && sameInput(inForm(), before)) replace(kept);
  });
}

function DocSheet<Input>({
  kind,
  doc,
  blank,
  renderForm,
  renderActs,
  askedAs,
  wide = false,
}: Props<Input> & { doc: Doc<Input> | null }) {
  const id = doc?.id ?? null;
  const heldAs = id ?? askedAs ?? null;
  const [empty] = useState(blank);
  const kept = doc?.input ?? empty;
  // The form holds one value; its shape is the kind's own business.
  const form = useForm<{ input: unknown }>({ defaultValues: { input: heldDoc(kind, heldAs) ?? kept } });
  const input = useWatch({ control: form.control, name: 'input' }) as Input;
  const replace = (next: Input) => form.setValue('input', next, { shouldDirty: true });
  const change = (next: Input) =>
    replace(mergedOver(input as object, next as object, form.getValues('input') as object) as Input);
  const [tried, setTried] = useState(false);
  const differs = !sameInput(input, kept);
  useFollow(kept, () => form.getValues('input') as Input, replace);
  useHoldDoc(kind, heldAs, input, differs);
  const keeping = useKeepDoc({ kind, doc, input, heldAs, replace });
  const { one } = kind.kind.words;
  const removing = removingOf(kind.kind);
  const errors = kind.kind.evaluate(input).errors;
  // What is still missing is asked for when the thing is kept, not while it is being typed.
  const shown = errors.filter(({ code }) => tried || !code.endsWith('.empty'));

  const keep = (then: ((id: string) => void) | null = null) => {
    setTried(true);
    if (errors.length === 0) keeping.keep(then);
    else setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid=true]')?.focus());
  };
  useCommands([
    { id: `keep-${kind.kind.name}`, label: `Keep this ${one}`, keys: 'Ctrl+S', run: () => keep() },
  ]);
  const isKept = doc !== null && !differs;

  return (
    <>
      <title>{`${kind.kind.nameOf(input) || `New ${one}`} · Steady Scatter`}</title>
      <TopBar
        acts={
          <>
            {doc && renderActs?.(doc)}
            {doc && (
              <CommandButton
                icon={removing.icon}
                label={removing.act}
                onClick={() => void keeping.remove(doc)}
              />
            )}
            {differs && (
              <CommandButton icon={RotateCcw} label="Drop changes" onClick={() => keeping.drop(kept)} />
            )}
            <Button variant={isKept ? 'outline' : 'solid'} loading={keeping.isPending} onClick={() => keep()}>
              {isKept ? 'Kept' : `Keep this ${one}`}
            </Button>
          </>
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold" overflowWrap="anywhere">
          {doc ? kind.kind.nameOf(doc.input) : `New ${one}`}
        </chakra.h1>
        {doc?.isSample && <SampleBadge />}
        {differs && (
          <chakra.span fontSize="15px" color="ink.soft">
            not kept yet
          </chakra.span>
        )}
      </TopBar>
      <Box
        as="main"
        id="main"
        padding={{ base: '8px 16px 24px', md: '8px 24px 32px' }}
        maxWidth={wide ? undefined : '1100px'}
      >
        {keeping.theirs && (
          <ConflictNotice
            name={kind.kind.nameOf(keeping.theirs.input)}
            onMine={() => keeping.theirs && keeping.keepMine(keeping.theirs)}
            onTheirs={() => keeping.theirs && void keeping.takeTheirs(keeping.theirs)}
          />
        )}
        {renderForm(
          {
            input,
            onChange: change,
            errorAt: (field) => shown.find((error) => error.field === field),
            keepThen: (go) => (isKept && doc ? go(doc.id) : keep(go)),
          },
          doc?.isSample ?? false,
        )}
      </Box>
    </>
  );
}

/** A kept thing, opened by the id in the address, or a new one: typed, held in the browser, kept. */
export function DocPage<Input>(props: Props<Input>) {
  const { id = null } = useParams();
  const { kind } = props;
  const { data, error, refetch } = useDoc(kind, id);
  if (id === null) return <DocSheet key={props.askedAs ?? 'new'} {...props} doc={null} />;
  if (data) return <DocSheet key={data.id} {...props} doc={data} />;
  return (
    <OpeningMessage one={kind.kind.words.one} home={kind.home} error={error} onAgain={() => void refetch()} />
  );
}
