import { openRuns } from '@steady-scatter/contract';
import {
  isEmptyRun,
  type CalibrationAim,
  type OpenRunInput,
  type RunInput,
} from '@steady-scatter/core/testing';
import { ApiProblem } from '../../api/errors.ts';
import { explain } from '../../api/explain.ts';
import { queries } from '../../api/queries.ts';
import { dropHeldDoc, heldDoc, holdDoc } from '../../documents/docDrafts.ts';
import { docActs, keysOf, useStored, type Doc } from '../../documents/docs.ts';
import { useNotices } from '../../ui/notices.tsx';
import { appendRun, OPEN_RUNS } from '../useCalibrations.ts';

/** Runs that were begun on this page and have not reached the server yet. */
const begun = new Set<string>();

/** Runs that were ended on this page. */
const ended = new Set<string>();
export const hasEnded = (id: string): boolean => ended.has(id);

/** Begins a run: it is held in this browser, and stored when its page is there. */
export function beginOpenRun(id: string, input: OpenRunInput): void {
  begun.add(id);
  holdDoc(OPEN_RUNS, id, input);
}

const unstored = (id: string, input: OpenRunInput): Doc<OpenRunInput> => ({ id, version: 0, schemaVersion: openRuns.schemaVersion, isSample: false, input, changedAt: '' }); // prettier-ignore

/** A run that is being made, by its id: as it stands on the server, or as it was begun here where it is not there yet. */
export function useOpenRun(id: string): {
  doc: Doc<OpenRunInput> | null;
  error: Error | null;
  again(): void;
} {
  const isBegun = begun.has(id);
  const { data, error, refetch } = useStored(OPEN_RUNS, isBegun ? null : id);
  const again = () => void refetch();
  const stored = queries.getQueryData<Doc<OpenRunInput>>(keysOf(openRuns).one(id)) ?? data;
  if (stored) {
    begun.delete(id);
    return { doc: stored, error, again };
  }
  const isAbsent = isBegun || (error !== null && (!(error instanceof ApiProblem) || error.is('not-found')));
  const held = isAbsent ? heldDoc(OPEN_RUNS, id) : null;
  return held ? { doc: unstored(id, held), error: null, again } : { doc: null, error, again };
}

/** Ends runs: what was measured is appended, what was not even begun goes. */
export function useEndRun(calibration: string) {
  const notices = useNotices();
  const gone = (id: string) => {
    ended.add(id);
    begun.delete(id);
    dropHeldDoc(OPEN_RUNS, id);
    queries.removeQueries({ queryKey: keysOf(openRuns).one(id) });
  };
  const refresh = () => void docActs(OPEN_RUNS).refresh();
  return {
    /** Appends it; it is held in this browser at once, and sent when something answers. */
    finish(run: RunInput, on: CalibrationAim): void {
      gone(run.id);
      void appendRun(calibration, run, on, true)
        .catch((error: unknown) => notices.tell(explain(error)))
        .then(refresh);
    },
    /** Ends one that is not gone through with: what was read stays, with a word on why it does not count. */
    breakOff(run: RunInput, on: CalibrationAim, isStored: boolean): void {
      if (!isEmptyRun(run)) {
        this.finish({ ...run, excluded: run.excluded || 'broken off' }, on);
        return;
      }
      gone(run.id);
      if (isStored)
        void docActs(OPEN_RUNS)
          .remove(run.id)
          .catch((error: unknown) => notices.tell(explain(error)));
    },
  };
}
