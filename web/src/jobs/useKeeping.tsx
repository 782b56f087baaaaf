import type { Job } from '@steady-scatter/contract';
import { attempt, readDay, readName } from '@steady-scatter/core';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { explain } from '../api/explain.ts';
import { jobConflict, useConflict } from '../conflict/useConflict.tsx';
import { useNotices } from '../ui/notices.tsx';
import type { SheetForm } from './drafts.ts';
import { copyOf, formOf } from './sheetForms.ts';
import type { useDraft } from './useDraft.ts';
import { useJobActs } from './useJobs.ts';

interface Keeping {
  form: UseFormReturn<SheetForm>;
  job: Job | null;
  draft: ReturnType<typeof useDraft>;
  baseVersion: number;
  setBaseVersion(version: number): void;
}

/** What stops a heading from being kept: the sentence, and the field to go to. */
function headingError({ name, onDay }: SheetForm): { field: 'name' | 'onDay'; message: string } | null {
  const wrongName = attempt(() => readName(name, 'name', 'Spring feed, lake front')).error;
  if (wrongName) return { field: 'name', message: wrongName.message };
  const wrongDay = attempt(() => readDay(onDay, 'onDay')).error;
  return wrongDay && { field: 'onDay', message: wrongDay.message };
}

/** Keeping, deleting, duplicating a sheet, and deciding when two people changed it. */
export function useKeeping({ form, job, draft, baseVersion, setBaseVersion }: Keeping) {
  const { keep, remove, restore, adopt } = useJobActs();
  const notices = useNotices();
  const navigate = useNavigate();
  const [newJobId] = useState(() => newId());
  const [wrongHeading, setWrongHeading] = useState<string>();

  const conflict = useConflict(() => form.getValues(), {
    async keep(sheet, theirs) {
      form.reset(sheet);
      if (theirs) await write(sheet, theirs.version);
      else if (job) await bringBack(job, sheet);
    },
    async takeTheirs(theirs) {
      const mine = form.getValues();
      draft.clear();
      if (!theirs) {
        await navigate('/jobs');
        return;
      }
      await adopt(theirs);
      form.reset(formOf(theirs));
      draft.clear();
      setBaseVersion(theirs.version);
      notices.undoable('Took theirs.', () => form.reset(mine));
    },
  });

  async function bringBack({ id }: Job, sheet: SheetForm) {
    try {
      const back = await restore.mutateAsync(id);
      await write(sheet, back.version);
    } catch (error) {
      notices.tell(explain(error));
    }
  }

  async function write(sheet: SheetForm, version: number) {
    try {
      const id = job?.id ?? newJobId;
      const { name, onDay, worksheet } = sheet;
      const kept = await keep.mutateAsync({ id, write: { name, onDay, worksheet, version } });
      draft.clear();
      setBaseVersion(kept.version);
      notices.tell(`Kept “${kept.name}”.`);
      if (!job) await navigate(`/jobs/${id}`);
    } catch (error) {
      const met = jobConflict(error);
      if (met) conflict.show(met);
      else notices.tell(explain(error));
    }
  }

  return {
    isPending: keep.isPending,
    wrongHeading,
    conflictDialog: conflict.dialog,
    async keep() {
      const sheet = form.getValues();
      const wrong = headingError(sheet);
      setWrongHeading(wrong?.message);
      if (wrong) form.setFocus(wrong.field);
      else await write(sheet, baseVersion);
    },
    /** Goes back to what is kept, with a way back to what was typed. */
    drop(kept: SheetForm) {
      const typed = form.getValues();
      form.reset(kept);
      draft.clear();
      notices.undoable('Dropped what was not kept.', () => form.reset(typed));
    },
    async remove({ id, name }: Job) {
      try {
        await remove.mutateAsync(id);
        draft.clear();
        notices.undoable(`Deleted “${name}”.`, () => restore.mutate(id));
        await navigate('/jobs');
      } catch (error) {
        notices.tell(explain(error));
      }
    },
    async duplicate() {
      try {
        const copy = await keep.mutateAsync({
          id: newId(),
          write: { ...copyOf(form.getValues()), version: 0 },
        });
        notices.tell(`This is the copy, “${copy.name}”.`);
        await navigate(`/jobs/${copy.id}`);
      } catch (error) {
        notices.tell(explain(error));
      }
    },
  };
}
