import { useEffect, useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { tabAndBrowser } from '../ui/browserStores.ts';
import { draftKey, dropDraft, loadDraft, saveDraft, type Draft, type SheetForm } from './drafts.ts';

/** How what is on the sheet stands: kept on the server, held in this browser, or not even that. */
export type Holding = 'kept' | 'held' | 'not-held';

/** True once another tab of this browser types on the same sheet. */
function useOtherTab(jobId: string | null): boolean {
  const [other, setOther] = useState(false);
  useEffect(() => {
    const key = draftKey(jobId);
    const onStorage = (event: StorageEvent) => {
      if (event.key === key) setOther(event.newValue !== null);
    };
    window.addEventListener('storage', onStorage);
    return () => window.removeEventListener('storage', onStorage);
  }, [jobId]);
  return other;
}

/**
 * Keeps what is typed on a sheet in the browser until it is kept on the server.
 *
 * @param jobId the job, or null for the new sheet
 * @param baseVersion the version that the sheet started from
 */
export function useDraft(form: UseFormReturn<SheetForm>, jobId: string | null, baseVersion: number) {
  const [holding, setHolding] = useState<Holding>(() => (loadDraft(tabAndBrowser, jobId) ? 'held' : 'kept'));
  const otherTab = useOtherTab(jobId);
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true },
        callback: ({ values }) => {
          const held = saveDraft(tabAndBrowser, jobId, { form: values, baseVersion });
          setHolding(held ? 'held' : 'not-held');
        },
      }),
    [form, jobId, baseVersion],
  );
  return {
    holding,
    otherTab,
    clear() {
      dropDraft(tabAndBrowser, jobId);
      setHolding('kept');
    },
  };
}

/** The draft that a sheet opens with, if one is held. */
export const heldDraft = (jobId: string | null): Draft | null => loadDraft(tabAndBrowser, jobId);
