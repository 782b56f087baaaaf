import { paceOfPass, type AreaRun, type RunLog } from '@steady-scatter/core/runSheet';
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
  const timed = log.watch.laps.flatMap(({ seconds, doubtful }, at) => {
    const leg = run.plan.legs[at];
    return leg && !doubtful && seconds > 0 ? [{ seconds, aimS: leg.lengthM / paceMPerS + turnS }] : [];
  });
  if (timed.length === 0) return '';
  const aim = timed.reduce((sum, { aimS }) => sum + aimS, 0);
  const took = timed.reduce((sum, { seconds }) => sum + seconds, 0);
  const { slowBy } = paceOfPass(took, { lengthM: aim * paceMPerS, paceMPerS, turnS: 0, flows: false });
  return say('walk.note', { passes: timed.length, how: howText(slowBy), percent: Math.round(Math.abs(slowBy) * 100) }); // prettier-ignore
}
