import type { Job } from '@steady-scatter/contract';
import { useState } from 'react';
import { ApiProblem } from '../api/errors.ts';
import type { SheetForm } from '../jobs/drafts.ts';

import { ConflictDialog } from './ConflictDialog.tsx';

/** A write of a job that met another one: what stands there, null when it was deleted. */
export interface Conflict {
  readonly theirs: Job | null;
}

/** The conflict that a refused write of a job met; null for every other failure. */
export function jobConflict(error: unknown): Conflict | null {
  if (!(error instanceof ApiProblem) || !error.changedElsewhere) return null;
  const { theirs } = error.changedElsewhere;
  return { theirs: theirs && 'worksheet' in theirs ? theirs : null };
}

interface Decide {
  keep(sheet: SheetForm, theirs: Job | null): Promise<void>;
  takeTheirs(theirs: Job | null): Promise<void>;
}

/** Holds a conflict until the person has decided. */
export function useConflict(mine: () => SheetForm, { keep, takeTheirs }: Decide) {
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const close = () => setConflict(null);
  const dialog = conflict && (
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
  );
  return { show: setConflict, dialog };
}
