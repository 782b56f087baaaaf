import type { Job } from '@steady-scatter/contract';
import { lazy, Suspense, useState } from 'react';
import type { ApiProblem } from '../api/errors.ts';
import type { SheetForm } from '../jobs/drafts.ts';

const ConflictDialog = lazy(() => import('./ConflictDialog.tsx'));

export type Conflict = NonNullable<ApiProblem['changedElsewhere']>;

interface Decide {
  keep(sheet: SheetForm, theirs: Job | null): Promise<void>;
  takeTheirs(theirs: Job | null): Promise<void>;
}

/** Holds a conflict until the person has decided. */
export function useConflict(mine: () => SheetForm, { keep, takeTheirs }: Decide) {
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const close = () => setConflict(null);
  const dialog = conflict && (
    <Suspense fallback={null}>
      <ConflictDialog
        mine={mine()}
        theirs={conflict.theirs}
        onClose={close}
        onKeep={(sheet) => {
          close();
          void keep(sheet, conflict.theirs);
        }}
        onTakeTheirs={() => {
          close();
          void takeTheirs(conflict.theirs);
        }}
      />
    </Suspense>
  );
  return { show: setConflict, dialog };
}
