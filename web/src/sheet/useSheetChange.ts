import type { WorksheetInput } from '@steady-scatter/core/worksheet';
import { useNotices } from '../notices/notices.tsx';
import { useSheetForm } from './sheet.tsx';

/** Puts another worksheet in place of the one that is open, and says so with a way back. */
export function useSheetChange() {
  const form = useSheetForm();
  const notices = useNotices();
  return (next: WorksheetInput, told: string) => {
    const before = form.getValues('worksheet');
    form.setValue('worksheet', next, { shouldDirty: true });
    notices.undoable(told, () => form.setValue('worksheet', before, { shouldDirty: true }));
  };
}
