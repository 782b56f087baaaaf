import { answerWorksheet, blankWorksheet, isUnitOf, type HeadedSheet } from '@steady-scatter/core';
import * as z from 'zod';

/** What is on a sheet: its heading and the worksheet as typed. */
export type SheetForm = HeadedSheet;

/** A sheet that is typed but not kept yet, and the version of the job that it started from. */
export interface Draft {
  readonly form: SheetForm;
  readonly baseVersion: number;
}

const FORMAT = 2;
const text = z.string();
const sized = z.object({ size: text, unit: text });

/** Shape only: a draft may hold texts that cannot be read yet. */
const stored = z.object({
  format: z.literal(FORMAT),
  baseVersion: z.int().min(0),
  form: z.object({
    name: text,
    onDay: text,
    worksheet: z.object({
      need: z.object({ nutrient: text, amount: text, unit: text }),
      grade: text,
      areas: z.array(sized.extend({ id: text, name: text })),
      package: sized,
      coverage: sized,
      shownIn: z.object({ rate: text.nullable(), amount: text.nullable(), area: text.nullable() }),
    }),
  }),
});

const ofFormat1 = z.looseObject({
  format: z.literal(1),
  form: z.looseObject({ worksheet: z.looseObject({ package: z.looseObject({ unit: text }) }) }),
});

/** Brings a draft of an earlier version of the app to this one. Format 1 knew no coverage. */
function upgrade(raw: unknown): unknown {
  const old = ofFormat1.safeParse(raw);
  if (!old.success) return raw;
  const { form } = old.data;
  const metric =
    isUnitOf('mass', form.worksheet.package.unit) && ['kg', 'g', 't'].includes(form.worksheet.package.unit);
  const { coverage } = blankWorksheet(metric ? 'metric' : 'us', '');
  return { ...old.data, format: FORMAT, form: { ...form, worksheet: { ...form.worksheet, coverage } } };
}

const PREFIX = 'steady-scatter.draft.';

/** The key that the draft of a job (null: the new sheet) is held under. */
export const draftKey = (jobId: string | null): string => `${PREFIX}${jobId ?? 'new'}`;

/** Where drafts are kept: the browser's storage, or a stand-in for tests. */
export type DraftStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** The draft of a job (null: the new sheet), or null when there is none that can be used. */
export function loadDraft(store: DraftStore, jobId: string | null): Draft | null {
  try {
    const parsed = stored.safeParse(upgrade(JSON.parse(store.getItem(draftKey(jobId)) ?? 'null')));
    if (!parsed.success) return null;
    const form = parsed.data.form as SheetForm;
    // Throws on a unit or nutrient that this version does not know.
    answerWorksheet(form.worksheet, form.worksheet.shownIn);
    return { form, baseVersion: parsed.data.baseVersion };
  } catch {
    return null;
  }
}

/** Keeps a draft; false when the browser's storage is full or forbidden. */
export function saveDraft(store: DraftStore, jobId: string | null, draft: Draft): boolean {
  try {
    store.setItem(draftKey(jobId), JSON.stringify({ format: FORMAT, ...draft }));
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
