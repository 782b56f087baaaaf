import { paceOfRun, type AreaRun, type RunLog } from '@steady-scatter/core/runSheet';
import { say } from '@steady-scatter/words/walk';

/** Closer than this is on pace. */
export const ON_PACE = 0.03;

/** In words: on pace, slow or fast. */
export const howText = (slowBy: number): 'on' | 'slow' | 'fast' => (Math.abs(slowBy) < ON_PACE ? 'on' : slowBy > 0 ? 'slow' : 'fast'); // prettier-ignore

interface Walked {
  readonly run: AreaRun;
  readonly log: RunLog;
  readonly paceMPerS: number;
  readonly turnS: number;
}

/** How the passes of an area were walked on average, for the record; empty: none was timed. */
export function paceNote({ run, log, paceMPerS, turnS }: Walked): string {
  const pace = paceOfRun(log.watch.laps, run.plan.legs, { paceMPerS, turnS, flows: false });
  if (!pace) return '';
  return say('walk.note', { passes: pace.passes, how: howText(pace.slowBy), percent: Math.round(Math.abs(pace.slowBy) * 100) }); // prettier-ignore
}
