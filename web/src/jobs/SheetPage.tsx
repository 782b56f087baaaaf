import { Button } from '@chakra-ui/react';
import type { JobInput } from '@steady-scatter/core/worksheet';
import { CopyPlus, RotateCcw, Trash2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { useCommands } from '../commands/CommandsProvider.tsx';
import type { Doc } from '../documents/docs.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { today } from '../ui/today.ts';
import type { SheetForm } from './drafts.ts';
import { SheetProvider } from './sheet.tsx';
import { blankForm, formOf } from './sheetForms.ts';
import { SheetHeading } from './SheetHeading.tsx';
import { SheetView } from './SheetView.tsx';
import { heldDraft, useDraft } from './useDraft.ts';
import { useKeeping } from './useKeeping.tsx';

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

/** A sheet open for typing: the new one, or a job that is kept. */
export function SheetPage({ job }: { job: Doc<JobInput> | null }) {
  const jobId = job?.id ?? null;
  const { units } = usePreferences().preferences;
  const [held] = useState(() => heldDraft(jobId));
  const [baseVersion, setBaseVersion] = useState(held?.baseVersion ?? job?.version ?? 0);
  const form = useForm<SheetForm>({ defaultValues: held?.form ?? (job ? formOf(job) : blankForm(units)) });
  const draft = useDraft(form, jobId, baseVersion);
  const keeping = useKeeping({ form, job, draft, baseVersion, setBaseVersion });
  const isKept = job !== null && draft.holding === 'kept';
  useDayOfReturn(form, job === null && draft.holding === 'kept');

  const drop = () => keeping.drop(job ? formOf(job) : blankForm(units));
  useCommands([
    {
      id: 'keep',
      label: job ? 'Keep the changes' : 'Keep this job',
      keys: 'Ctrl+S',
      run: () => void keeping.keep(),
    },
    ...(job ? [{ id: 'duplicate', label: 'Duplicate this job', run: () => void keeping.duplicate() }] : []),
    ...(job ? [{ id: 'delete', label: 'Delete this job', run: () => void keeping.remove(job) }] : []),
    ...(isKept ? [] : [{ id: 'drop', label: 'Drop what is not kept', run: drop }]),
  ]);

  const holding = draft.holding === 'held' && job && job.version > baseVersion ? 'overtaken' : draft.holding;
  return (
    <SheetProvider form={form}>
      <SheetView
        heading={
          <SheetHeading
            isSample={job?.isSample ?? false}
            holding={holding}
            otherTab={draft.otherTab}
            wrong={keeping.wrongHeading}
          />
        }
        acts={
          <>
            {job && (
              <CommandButton icon={CopyPlus} label="Duplicate" onClick={() => void keeping.duplicate()} />
            )}
            {job && <CommandButton icon={Trash2} label="Delete" onClick={() => void keeping.remove(job)} />}
            {draft.holding !== 'kept' && (
              <CommandButton icon={RotateCcw} label={job ? 'Drop changes' : 'Clear'} onClick={drop} />
            )}
            <Button
              variant={isKept ? 'outline' : 'solid'}
              loading={keeping.isPending}
              onClick={() => void keeping.keep()}
            >
              {isKept ? 'Kept' : job ? 'Keep changes' : 'Keep this job'}
            </Button>
          </>
        }
      />
      {keeping.conflictDialog}
    </SheetProvider>
  );
}
