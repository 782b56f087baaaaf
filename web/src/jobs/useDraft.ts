import { useEffect, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { dropDraft, loadDraft, saveDraft, type Draft, type SheetForm } from './drafts.ts';

/**
 * Keeps what is typed on a sheet in the browser until it is kept on the server.
 *
 * @param jobId the job, or null for the new sheet
 * @param baseVersion the version that the sheet started from
 * @returns whether something is typed that is not kept, and whether the browser refuses to hold it
 */
export function useDraft(form: UseFormReturn<SheetForm>, jobId: string | null, baseVersion: number) {
  const [state, setState] = useState<'kept' | 'held' | 'not-held'>(() =>
    loadDraft(localStorage, jobId) ? 'held' : 'kept',
  );
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true },
        callback: ({ values }) => {
          const held = saveDraft(localStorage, jobId, { form: values, baseVersion });
          setState(held ? 'held' : 'not-held');
        },
      }),
    [form, jobId, baseVersion],
  );
  return {
    state,
    clear() {
      dropDraft(localStorage, jobId);
      setState('kept');
    },
  };
}

/** The draft that a sheet opens with, if one is held. */
export const heldDraft = (jobId: string | null): Draft | null => loadDraft(localStorage, jobId);
