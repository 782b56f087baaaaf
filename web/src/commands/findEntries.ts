import type { JobSummary } from '@steady-scatter/contract';
import type { Command } from './commands.ts';

/** Something the go-to box can find. */
export interface Entry {
  readonly id: string;
  readonly kind: 'act' | 'job' | 'area';
  readonly label: string;
  readonly detail: string;
  run(): void;
}

const MAX_FOUND = 12;

/** Commands, jobs, and the areas of jobs, as entries. An area leads to the job that it stands on. */
export function entriesOf(
  acts: readonly Command[],
  jobs: readonly JobSummary[],
  openJob: (id: string) => void,
): Entry[] {
  return [
    ...acts.map(
      ({ id, label, keys, run }): Entry => ({ id: `act.${id}`, kind: 'act', label, detail: keys ?? '', run }),
    ),
    ...jobs.map(
      ({ id, name, onDay }): Entry => ({
        id: `job.${id}`,
        kind: 'job',
        label: name,
        detail: onDay,
        run: () => openJob(id),
      }),
    ),
    ...jobs.flatMap(({ id, name, areaNames, onDay }) =>
      areaNames.map(
        (area, at): Entry => ({
          id: `area.${id}.${at}`,
          kind: 'area',
          label: area,
          detail: `${name}, ${onDay}`,
          run: () => openJob(id),
        }),
      ),
    ),
  ];
}

/** Entries that hold every word typed, those that begin with it first; all acts and jobs while nothing is typed. */
export function findEntries(entries: readonly Entry[], typed: string): Entry[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return entries.filter(({ kind }) => kind !== 'area').slice(0, MAX_FOUND);
  const begins = ({ label }: Entry) => (label.toLowerCase().startsWith(words[0] ?? '') ? 0 : 1);
  return entries
    .filter(({ label, detail }) => words.every((word) => `${label} ${detail}`.toLowerCase().includes(word)))
    .toSorted((a, b) => begins(a) - begins(b))
    .slice(0, MAX_FOUND);
}
