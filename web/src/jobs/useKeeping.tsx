import { toResult } from '@steady-scatter/core/errors';
import { readDay, readName } from '@steady-scatter/core/fields';
import type { JobInput } from '@steady-scatter/core/worksheet';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { explain } from '../api/explain.ts';
import { useWhenBack } from '../api/useWhenBack.ts';
import { loadPart } from '../api/lazyCall.ts';
import { jobConflict, useConflict } from '../conflict/useConflict.tsx';
import type { Doc } from '../documents/docs.ts';
import { useNotices } from '../ui/notices.tsx';
import type { SheetForm } from './drafts.ts';
import { copyOf, formOf } from './sheetForms.ts';
import type { useDraft } from './useDraft.ts';

interface Keeping {
  form: UseFormReturn<SheetForm>;
  job: Doc<JobInput> | null;
  draft: ReturnType<typeof useDraft>;
  baseVersion: number;
  setBaseVersion(version: number): void;
}

/** The acts, loaded when something is first kept or deleted. */
const acts = async () => (await loadPart(() => import('./useJobs.ts'))).jobActs;

/** What stops a heading from being kept: the sentence, and the field to go to. */
function headingError({ name, onDay }: SheetForm): { field: 'name' | 'onDay'; message: string } | null {
  const wrongName = toResult(() => readName(name, 'name', 'Spring feed, lake front')).error;
  if (wrongName) return { field: 'name', message: wrongName.message };
  const wrongDay = toResult(() => readDay(onDay, 'onDay')).error;
  return wrongDay && { field: 'onDay', message: wrongDay.message };
}

/** Keeping, deleting, duplicating a sheet, and deciding when two people changed it. */
export function useKeeping({ form, job, draft, baseVersion, setBaseVersion }: Keeping) {
  const notices = useNotices();
  const navigate = useNavigate();
  const [newJobId] = useState(() => newId());
  const [isPending, setPending] = useState(false);
  const [wrongHeading, setWrongHeading] = useState<string>();

  const whenBack = useWhenBack(`job:${job?.id ?? 'new'}`, keepIt);

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
      await (await acts()).adopt(theirs);
      form.reset(formOf(theirs));
      draft.clear();
      setBaseVersion(theirs.version);
      notices.undoable('Took theirs.', () => form.reset(mine));
    },
  });

  async function bringBack({ id }: Doc<JobInput>, sheet: SheetForm) {
    try {
      const back = await (await acts()).restore(id);
      await write(sheet, back.version);
    } catch (error) {
      notices.tell(explain(error));
    }
  }

  async function keepIt() {
    const sheet = form.getValues();
    const wrong = headingError(sheet);
    setWrongHeading(wrong?.message);
    if (wrong) form.setFocus(wrong.field);
    else await write(sheet, baseVersion);
  }

  async function write(sheet: SheetForm, version: number) {
    setPending(true);
    whenBack.noMore();
    try {
      const id = job?.id ?? newJobId;
      const kept = await (await acts()).write(id, { version, input: sheet });
      draft.clear();
      setBaseVersion(kept.version);
      notices.tell(`Kept “${kept.input.name}”.`);
      if (!job && whenBack.isOpen()) await navigate(`/jobs/${id}`);
    } catch (error) {
      const met = jobConflict(error);
      if (met) conflict.show(met);
      else notices.tell(whenBack.waitsFor(error) ?? explain(error));
    } finally {
      setPending(false);
    }
  }

  return {
    isPending,
    wrongHeading,
    conflictDialog: conflict.dialog,
    keep: keepIt,
    /** Goes back to what is kept, with a way back to what was typed. */
    drop(kept: SheetForm) {
      whenBack.noMore();
      const input = form.getValues();
      form.reset(kept);
      draft.clear();
      notices.undoable('Dropped what was not kept.', () => form.reset(input));
    },
    async remove({ id, input: { name } }: Doc<JobInput>) {
      try {
        await (await acts()).remove(id);
        whenBack.noMore();
        draft.clear();
        notices.undoable(`Deleted “${name}”.`, async () => (await acts()).restore(id));
        await navigate('/jobs');
      } catch (error) {
        notices.tell(explain(error));
      }
    },
    async duplicate() {
      try {
        const copy = await (await acts()).write(newId(), { version: 0, input: copyOf(form.getValues()) });
        notices.tell(`This is the copy, “${copy.input.name}”.`);
        await navigate(`/jobs/${copy.id}`);
      } catch (error) {
        notices.tell(explain(error));
      }
    },
  };
}
