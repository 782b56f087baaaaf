import { requireFinite } from '../errors/preconditions.ts';
import type { Mark } from '../machines/scale.ts';
import type { RunResult } from './readRun.ts';

/** Several settings that are tested one after the other, and how far that has come. */
export interface SettingsSession {
  readonly marks: readonly Mark[];
  /** The next one: the first of those that were tested least; null: there are none. */
  readonly next: Mark | null;
  /** How many of them were tested once, at least. */
  readonly tested: number;
}

/**
 * How far a session over several settings has come: each in turn, and then again from the first.
 *
 * @param marks in the order in which they are to be tested
 * @param runs what was tested; what does not count does not
 * @throws InputError number.unusable
 * @example settingsSession([{ label: 'C', opening: 3 }], []).next.label // 'C'
 */
export function settingsSession(
  marks: readonly Mark[],
  runs: readonly Pick<RunResult, 'counts' | 'mark'>[],
): SettingsSession {
  for (const { opening } of marks) requireFinite({ opening });
  const timesOf = ({ opening }: Mark) => runs.filter(({ counts, mark }) => counts && mark?.opening === opening).length; // prettier-ignore
  const times = marks.map(timesOf);
  const least = Math.min(...times);
  return {
    marks,
    next: marks[times.indexOf(least)] ?? null,
    tested: times.filter((each) => each > 0).length,
  };
}
