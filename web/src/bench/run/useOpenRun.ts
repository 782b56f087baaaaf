import {
  isEmptyRun,
  openRunOf,
  type CalibrationAim,
  type OpenRunInput,
  type RunInput,
} from '@steady-scatter/core/testing';
import { calibrations, openRuns } from '@steady-scatter/contract';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/bench';
import { explain } from '../../api/explain.ts';
import { queries } from '../../api/queries.ts';
import { docActs, keysOf } from '../../documents/docs.ts';
import { dropDraft } from '../../documents/drafts.ts';
import { saveDoc } from '../../documents/saving.ts';
import { aboutDocument, outbox, type Saving } from '../../outbox/index.ts';
import { useNotices } from '../../notices/notices.tsx';
import { appendRun, OPEN_RUNS } from '../../kinds/useCalibrations.ts';

/** Runs that were ended on this page. */
const ended = new Set<string>();
export const hasEnded = (id: string): boolean => ended.has(id);

/** Whether a run is still being made: past its result the next act is another one. */
export const isUnderWay = ({ step }: Pick<RunInput, 'step'>): boolean => step !== '' && step !== 'result';

/** Begins a run: it is held on this device, and sent once its calibration is there. */
export const beginOpenRun = (id: string, input: OpenRunInput): Promise<boolean> =>
  saveDoc(OPEN_RUNS, id, { base: { version: 0, input }, input }, [
    aboutDocument(calibrations.name, input.calibration),
  ]).held;

/** Lets go of what waits or is typed of a run that has ended. */
function gone(id: string): void {
  ended.add(id);
  dropDraft(OPEN_RUNS, id);
  const waiting = outbox.of(aboutDocument(openRuns.name, id));
  if (waiting) void outbox.drop(waiting.entry.id);
  queries.removeQueries({ queryKey: keysOf(openRuns).one(id) });
}

/** Ends runs: what was measured is appended, what was not even begun goes. */
export function useEndRun(calibration: string) {
  const notices = useNotices();
  const navigate = useNavigate();
  const refresh = () => void docActs(OPEN_RUNS).refresh();
  const told = async ({ outcome }: Saving) => {
    const became = await outcome;
    if (became.state === 'refused') notices.tell(became.refusal.words);
    refresh();
  };
  /** What was cancelled is gone on with as another run with the same readings: what was appended of it stays. */
  const goOnAgain = async (run: RunInput, on: CalibrationAim) => {
    const id = newId();
    await beginOpenRun(id, openRunOf({ ...run, id, row: '', excluded: '' }, calibration, on));
    refresh();
    await navigate(`/bench/${calibration}/run/${id}`);
  };
  return {
    /** Appends it; it is held on this device at once, and sent when something answers. */
    finish(run: RunInput, on: CalibrationAim): void {
      gone(run.id);
      void told(appendRun(calibration, run, on));
    },
    /** Ends one that is not gone through with: what was read stays, with a word on why it does not count. */
    breakOff(run: RunInput, on: CalibrationAim, isStored: boolean): void {
      notices.undoable(say('testRun.open.cancelled'), () => goOnAgain(run, on));
      if (!isEmptyRun(run)) {
        this.finish({ ...run, excluded: run.excluded || say('testRun.open.reason') }, on);
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
