import { Button } from '@chakra-ui/react';
import type { Job } from '@steady-scatter/contract';
import { attempt, blankWorksheet, readDay, readName } from '@steady-scatter/core';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { explain } from '../api/explain.ts';
import { ActButton } from '../ui/ActButton.tsx';
import { today } from '../ui/today.ts';
import { useNotices } from '../ui/notices.tsx';
import type { SheetForm } from './drafts.ts';
import { SheetProvider } from './sheet.tsx';
import { SheetHeading } from './SheetHeading.tsx';
import { SheetView } from './SheetView.tsx';
import { heldDraft, useDraft } from './useDraft.ts';
import { useJobActs } from './useJobs.ts';

const blankForm = (): SheetForm => ({ name: '', onDay: today(), worksheet: blankWorksheet('us', newId()) });
const formOf = ({ name, onDay, worksheet }: Job): SheetForm => ({ name, onDay, worksheet });

/** A sheet open for typing: the new one, or a job that is kept. */
export function SheetPage({ job }: { job: Job | null }) {
  const jobId = job?.id ?? null;
  const [held] = useState(() => heldDraft(jobId));
  const [baseVersion, setBaseVersion] = useState(held?.baseVersion ?? job?.version ?? 0);
  const form = useForm<SheetForm>({ defaultValues: held?.form ?? (job ? formOf(job) : blankForm()) });
  const draft = useDraft(form, jobId, baseVersion);
  const { keep, remove, restore } = useJobActs();
  const notices = useNotices();
  const navigate = useNavigate();
  const [newJobId] = useState(() => newId());
  const [nameError, setNameError] = useState<string>();

  async function onKeep() {
    const values = form.getValues();
    const name = attempt(() => readName(values.name, 'name', 'Spring feed, lake front'));
    const day = attempt(() => readDay(values.onDay, 'onDay'));
    const wrong = name.error ?? day.error;
    setNameError(wrong?.message);
    if (wrong) {
      form.setFocus(name.error ? 'name' : 'onDay');
      return;
    }
    try {
      const id = jobId ?? newJobId;
      const kept = await keep.mutateAsync({ id, write: { ...values, version: baseVersion } });
      draft.clear();
      setBaseVersion(kept.version);
      notices.tell(`Kept “${kept.name}”.`);
      if (!job) await navigate(`/jobs/${id}`);
    } catch (error) {
      notices.tell(explain(error));
    }
  }

  async function onDelete({ id, name }: Job) {
    try {
      await remove.mutateAsync(id);
      draft.clear();
      notices.undoable(`Deleted “${name}”.`, () => restore.mutate(id));
      await navigate('/jobs');
    } catch (error) {
      notices.tell(explain(error));
    }
  }

  const isKept = job !== null && draft.state === 'kept';
  return (
    <SheetProvider form={form}>
      <SheetView
        heading={<SheetHeading isSample={job?.isSample ?? false} state={draft.state} nameError={nameError} />}
        acts={
          <>
            {job && <ActButton icon={Trash2} label="Delete" onClick={() => onDelete(job)} />}
            <Button variant={isKept ? 'outline' : 'solid'} loading={keep.isPending} onClick={onKeep}>
              {isKept ? 'Kept' : job ? 'Keep the changes' : 'Keep this job'}
            </Button>
          </>
        }
      />
    </SheetProvider>
  );
}
