import { Button } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import type { JobInput } from '@steady-scatter/core/worksheet';
import { CopyPlus, RotateCcw } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/sheet';
import { explain } from '../api/explain.ts';
import { useCommands } from '../commands/CommandsProvider.tsx';
import type { Doc } from '../documents/docs.ts';
import { removingOf } from '../documents/removing.ts';
import { saveNew } from '../documents/saving.ts';
import { SAVED_WORDS } from '../documents/statusWords.ts';
import { stoppingErrors, useDocument } from '../documents/useDocument.ts';
import { useDocumentCommands } from '../documents/useDocumentCommands.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { useNotices } from '../notices/notices.tsx';
import { today } from '../ui/today.ts';
import { useStable } from '../ui/useStable.ts';
import { SheetProvider } from '../sheet/sheet.tsx';
import { blankForm, copyOf, type SheetForm } from '../sheet/sheetForms.ts';
import { SheetHeading } from './SheetHeading.tsx';
import { SheetView } from './SheetView.tsx';
import { JOBS } from '../kinds/useJobs.ts';
import { UnfinishedNew } from '../documents/UnfinishedNew.tsx';
import { useHeldAs, type GoOnWith } from '../documents/useHeldAs.ts';

/** A blank sheet left open over midnight, or for a week, takes the day on which somebody comes back to it. */
function useDayOfReturn(form: UseFormReturn<SheetForm>, isBlank: boolean) {
  useEffect(() => {
    const onReturn = () => {
      if (isBlank && document.visibilityState === 'visible')
        form.resetField('onDay', { defaultValue: today() });
    };
    document.addEventListener('visibilitychange', onReturn);
    return () => document.removeEventListener('visibilitychange', onReturn);
  }, [form, isBlank]);
}

const REMOVING = removingOf(JOBS.kind);

/** Puts a copy of the sheet beside it, and goes to it. */
function useDuplicate(form: UseFormReturn<SheetForm>) {
  const notices = useNotices();
  const navigate = useNavigate();
  return async () => {
    const [id, copy] = [newId(), copyOf(form.getValues())];
    try {
      await saveNew(JOBS, id, copy);
      notices.tell(say('sheet.job.copied', { name: copy.name }));
      await navigate(`/jobs/${id}`);
    } catch (error) {
      notices.tell(explain(error));
    }
  };
}

/** A new sheet, which opens first: a blank one each time that it is asked for. */
export function NewSheet() {
  const heldAs = useHeldAs();
  return <SheetPage key={heldAs} job={null} heldAs={heldAs} />;
}

/** A sheet open for typing: a new one, or a job that is saved. */
export function SheetPage({ job, heldAs }: { job: Doc<JobInput> | null; heldAs?: string }) {
  const { units } = usePreferences().preferences;
  const open = useDocument(JOBS, job, { blank: () => blankForm(units), heldAs });
  const { form, status, differs } = open;
  const commands = useDocumentCommands(JOBS, job, open);
  const putCopy = useDuplicate(form);
  const duplicate = useStable(() => void putCopy());
  const [wrong, setWrong] = useState<InputError>();
  useEffect(
    () => form.subscribe({ formState: { values: true }, callback: () => setWrong(undefined) }),
    [form],
  );
  useDayOfReturn(form, status === 'new');

  const save = useStable(() => {
    const [stops] = stoppingErrors(JOBS, form.getValues());
    setWrong(stops);
    if (!stops) void commands.save();
    else if (stops.field === 'name' || stops.field === 'onDay') form.setFocus(stops.field);
    // Its field has its own sentence, and may be on another page of the job.
    else document.querySelector<HTMLElement>('#screen [aria-invalid=true]')?.focus();
  });
  const isSaved = status === 'saved' || status === 'on-device';
  const canDiscard = differs || status === 'refused';
  const discard = useStable(commands.discard);
  const remove = useStable(() => job && void commands.remove(job));
  const decide = useStable(() => commands.onDecide?.());
  useCommands([
    {
      id: 'keep',
      label: job ? say('sheet.job.saveChanges') : say('sheet.job.save'),
      keys: 'Ctrl+S',
      run: save,
    },
    ...(job ? [{ id: 'duplicate', label: say('sheet.job.duplicateCommand'), run: duplicate }] : []),
    ...(job ? [{ id: 'delete', label: say('sheet.job.deleteCommand'), run: remove }] : []),
    ...(canDiscard ? [{ id: 'drop', label: say('common.discardChanges'), run: discard }] : []),
  ]);

  // A key in any field comes by here: what of the page it says nothing to is the same, and is not drawn anew.
  const { isOvertaken, otherTab } = open;
  const refused = open.refusal?.words ?? null;
  const canDecide = commands.onDecide !== null;
  const heading = useMemo(
    () => (
      <SheetHeading
        isSample={job?.isSample ?? false}
        status={status}
        isOvertaken={isOvertaken}
        otherTab={otherTab}
        wrong={wrong}
        refusal={refused === null ? null : { words: refused, onDecide: canDecide ? decide : null }}
      />
    ),
    [job?.isSample, status, isOvertaken, otherTab, wrong, refused, canDecide, decide],
  );
  const isNew = job === null;
  const acts = useMemo(
    () => (
      <>
        {!isNew && <CommandButton icon={CopyPlus} label={say('sheet.job.duplicate')} onClick={duplicate} />}
        {!isNew && <CommandButton icon={REMOVING.icon} label={REMOVING.act} onClick={remove} />}
        {canDiscard && (
          <CommandButton
            icon={RotateCcw}
            label={isNew ? say('sheet.job.clear') : say('common.discardChanges')}
            onClick={discard}
          />
        )}
        <Button variant={isSaved ? 'outline' : 'solid'} loading={commands.isPending} onClick={save}>
          {SAVED_WORDS[status] ?? (isNew ? say('sheet.job.save') : say('sheet.job.saveChanges'))}
        </Button>
      </>
    ),
    [isNew, status, isSaved, canDiscard, commands.isPending, duplicate, remove, discard, save],
  );
  const beside = useMemo(() => isNew && <UnfinishedNew kind={JOBS} heldAs={heldAs ?? ''} />, [isNew, heldAs]);
  const state = useMemo(() => (isNew ? ({ draft: heldAs ?? 'new' } satisfies GoOnWith) : undefined), [isNew, heldAs]); // prettier-ignore

  return (
    <SheetProvider form={form}>
      <SheetView jobId={job?.id ?? null} state={state} beside={beside} heading={heading} acts={acts} />
      {commands.decide}
    </SheetProvider>
  );
}
