import { jobs } from '@steady-scatter/contract';
import { isJson, upgraded } from '@steady-scatter/core/fields';
import type { JobInput } from '@steady-scatter/core/worksheet';

/** What is on a sheet: its heading and the worksheet as typed. */
export type SheetForm = JobInput;

/** A sheet that is typed but not kept yet, and the version of the job that it started from. */
export interface Draft {
  readonly form: SheetForm;
  readonly baseVersion: number;
}

/** What an earlier version of the app held: a format of its own for the first schema. */
const FIRST_FORMAT = 3;

const PREFIX = 'steady-scatter.draft.';

/** The key that the draft of a job (null: the new sheet) is held under. */
export const draftKey = (jobId: string | null): string => `${PREFIX}${jobId ?? 'new'}`;

/** Where drafts are kept: the browser's storage, or a stand-in for tests. */
export type DraftStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** The draft of a job (null: the new sheet), or null when there is none that can be used. */
export function loadDraft(store: DraftStore, jobId: string | null): Draft | null {
  try {
    const raw: unknown = JSON.parse(store.getItem(draftKey(jobId)) ?? 'null');
    if (!isJson(raw)) return null;
    const { format, schemaVersion = format === FIRST_FORMAT ? 1 : null, baseVersion, form } = raw;
    if (typeof schemaVersion !== 'number' || typeof baseVersion !== 'number' || !isJson(form)) return null;
    if (schemaVersion > jobs.schemaVersion) return null;
    return { form: jobs.schema.parse(upgraded(jobs.upgrades, schemaVersion, form)), baseVersion };
  } catch {
    return null;
  }
}

/** Keeps a draft; false when the browser's storage is full or forbidden. */
export function saveDraft(store: DraftStore, jobId: string | null, draft: Draft): boolean {
  try {
    store.setItem(draftKey(jobId), JSON.stringify({ schemaVersion: jobs.schemaVersion, ...draft }));
    return true;
  } catch {
    return false;
  }
}

export function dropDraft(store: DraftStore, jobId: string | null): void {
  try {
    store.removeItem(draftKey(jobId));
  } catch {
    // A store that cannot be reached holds no draft.
  }
}
