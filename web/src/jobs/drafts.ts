import { answerWorksheet, type WorksheetTyped } from '@steady-scatter/core';
import { z } from 'zod';

/** What is on a sheet: its heading and the worksheet as typed. */
export interface SheetForm {
  name: string;
  onDay: string;
  worksheet: WorksheetTyped;
}

/** A sheet that is typed but not kept yet, and the version of the job that it started from. */
export interface Draft {
  readonly form: SheetForm;
  readonly baseVersion: number;
}

const FORMAT = 1;
const text = z.string();

/** Shape only: a draft may hold texts that cannot be read yet. Unknown units or nutrients drop the draft. */
const stored = z.object({
  format: z.literal(FORMAT),
  baseVersion: z.int().min(0),
  form: z.object({
    name: text,
    onDay: text,
    worksheet: z.object({
      need: z.object({ nutrient: text, amount: text, unit: text }),
      grade: text,
      areas: z.array(z.object({ id: text, name: text, size: text, unit: text })),
      package: z.object({ size: text, unit: text }),
      shownIn: z.object({ rate: text.nullable(), amount: text.nullable(), area: text.nullable() }),
    }),
  }),
});

const keyOf = (jobId: string | null): string => `steady-scatter.draft.${jobId ?? 'new'}`;

/** Where drafts are kept: the browser's storage, or a stand-in for tests. */
export type DraftStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** The draft of a job (null: the new sheet), or null when there is none that can be used. */
export function loadDraft(store: DraftStore, jobId: string | null): Draft | null {
  try {
    const parsed = stored.safeParse(JSON.parse(store.getItem(keyOf(jobId)) ?? 'null'));
    if (!parsed.success) return null;
    const form = parsed.data.form as SheetForm;
    answerWorksheet(form.worksheet, form.worksheet.shownIn);
    return { form, baseVersion: parsed.data.baseVersion };
  } catch {
    return null;
  }
}

/** Keeps a draft; false when the browser's storage is full or forbidden. */
export function saveDraft(store: DraftStore, jobId: string | null, draft: Draft): boolean {
  try {
    store.setItem(keyOf(jobId), JSON.stringify({ format: FORMAT, ...draft }));
    return true;
  } catch {
    return false;
  }
}

export function dropDraft(store: DraftStore, jobId: string | null): void {
  try {
    store.removeItem(keyOf(jobId));
  } catch {
    // A store that cannot be reached holds no draft.
  }
}
