import { upgradeProduct, type ProductInput } from '@steady-scatter/core/shelf';
import {
  blankWorksheet,
  upgradeWorksheet,
  isWorksheetInput,
  type HeadedSheet,
} from '@steady-scatter/core/worksheet';

/** What is on a sheet: its heading and the worksheet as typed. */
export type SheetForm = HeadedSheet;

/** A sheet that is typed but not kept yet, and the version of the job that it started from. */
export interface Draft {
  readonly form: SheetForm;
  readonly baseVersion: number;
}

const FORMAT = 3;

interface Stored {
  format?: unknown;
  baseVersion?: unknown;
  form?: { name?: unknown; onDay?: unknown; worksheet?: Readonly<Record<string, unknown>> };
}

/** Brings a draft of an earlier version of the app to this one: its product stood on the sheet, not as a label. */
function upgrade(raw: Stored): Stored {
  const old = raw.form?.worksheet;
  if ((raw.format !== 1 && raw.format !== 2) || !old) return raw;
  const { need, grade, package: pack, coverage, ...rest } = old;
  const metric = /"unit":"k?g"/.test(JSON.stringify(pack));
  const { nutrient, ...asked } = need as { nutrient?: unknown };
  const worksheet = {
    ...blankWorksheet(metric ? 'metric' : 'us', ''),
    ...rest,
    need: { ...asked, of: nutrient },
    product: upgradeProduct({
      grade,
      package: pack,
      ...(coverage ? { coverage } : {}),
    } as Partial<ProductInput>),
  };
  return { ...raw, format: FORMAT, form: { ...raw.form, worksheet } };
}

const PREFIX = 'steady-scatter.draft.';

/** The key that the draft of a job (null: the new sheet) is held under. */
export const draftKey = (jobId: string | null): string => `${PREFIX}${jobId ?? 'new'}`;

/** Where drafts are kept: the browser's storage, or a stand-in for tests. */
export type DraftStore = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** The draft of a job (null: the new sheet), or null when there is none that can be used. */
export function loadDraft(store: DraftStore, jobId: string | null): Draft | null {
  try {
    const raw = JSON.parse(store.getItem(draftKey(jobId)) ?? '{}') as Stored;
    const { format, baseVersion, form } = upgrade(raw);
    if (format !== FORMAT || typeof baseVersion !== 'number' || !form) return null;
    const { name, onDay } = form;
    const worksheet: unknown = form.worksheet && upgradeWorksheet(form.worksheet);
    if (typeof name !== 'string' || typeof onDay !== 'string' || !isWorksheetInput(worksheet)) return null;
    return { form: { name, onDay, worksheet }, baseVersion };
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
