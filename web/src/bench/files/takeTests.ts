import { openRunOf, withRunIds } from '@steady-scatter/core/testing';
import { v7 as newId } from 'uuid';
import { docActs } from '../../documents/docs.ts';
import { saveNew } from '../../documents/saving.ts';
import { RIGS } from '../../kinds/useRigs.ts';
import { CALIBRATIONS, OPEN_RUNS } from '../../kinds/useCalibrations.ts';
import type { TestsToTake } from './testsFile.ts';

/**
 * Keeps what a file of tests brought, under new ids: all of it, or nothing.
 *
 * @returns how to take it back
 */
export async function takeTests({ rigs, calibrations }: TestsToTake): Promise<() => Promise<unknown>> {
  const [rigActs, acts, openActs] = [docActs(RIGS), docActs(CALIBRATIONS), docActs(OPEN_RUNS)];
  const undo: (() => Promise<unknown>)[] = [];
  const back = () => Promise.all(undo.map((each) => each()));
  const rigIds = new Map(rigs.map(({ id }) => [id, newId()]));
  const ids = new Map(calibrations.map(({ id }) => [id, newId()]));
  try {
    for (const { id: from, input } of rigs) {
      const id = rigIds.get(from) ?? newId();
      // oxlint-disable-next-line no-await-in-loop -- one after the other, so that what came is known
      await saveNew(RIGS, id, input);
      undo.push(() => rigActs.remove(id));
    }
    for (const { id: from, input } of calibrations) {
      const id = ids.get(from) ?? newId();
      const runIds = new Map(input.runs.map((run) => [run.id, newId()]));
      const own = withRunIds(input, (run) => runIds.get(run) ?? run);
      const moved = { ...own, rig: rigIds.get(input.rig) ?? input.rig, shape: ids.get(input.shape) ?? '' };
      // It may be there when one of its runs is not taken.
      undo.push(() => acts.remove(id));
      // oxlint-disable-next-line no-await-in-loop
      await saveNew(CALIBRATIONS, id, moved);
      for (const run of moved.runs.filter(({ step }) => step !== '')) {
        undo.push(() => openActs.remove(run.id));
        // oxlint-disable-next-line no-await-in-loop
        await saveNew(OPEN_RUNS, run.id, openRunOf(run, id, moved));
      }
    }
    return back;
  } catch (error) {
    await Promise.allSettled(undo.map((each) => each()));
    throw error;
  }
}
