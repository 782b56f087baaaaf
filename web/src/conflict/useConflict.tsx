import type { JobInput } from '@steady-scatter/core/worksheet';
import { useState } from 'react';
import { ApiProblem } from '../api/errors.ts';
import type { Doc } from '../documents/docs.ts';
import type { SheetForm } from '../jobs/drafts.ts';
import { ConflictDialog } from './ConflictDialog.tsx';

/** A write of a job that met another one: what stands there, null when it was deleted. */
export interface Conflict {
  readonly theirs: Doc<JobInput> | null;
}

/** The conflict that a refused write of a job met; null for every other failure. */
export function jobConflict(error: unknown): Conflict | null {
  if (!(error instanceof ApiProblem) || !error.changedElsewhere) return null;
  return { theirs: error.changedElsewhere.theirs };
}

interface Decide {
  keep(sheet: SheetForm, theirs: Doc<JobInput> | null): Promise<void>;
  takeTheirs(theirs: Doc<JobInput> | null): Promise<void>;
}

/** Holds a conflict until the person has decided. */
export function useConflict(mine: () => SheetForm, { keep, takeTheirs }: Decide) {
  const [conflict, setConflict] = useState<Conflict | null>(null);
  const close = () => setConflict(null);
  const dialog = conflict && (
    <ConflictDialog
      mine={mine()}
      theirs={conflict.theirs?.input ?? null}
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
