import { EVENTS, type EventAppend } from '@steady-scatter/contract';
import { doneRows, type ApplicationInput, type DoneRow } from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/winter';
import { append, useRows } from '../events/appended.ts';
import { aboutDocument, type Saving } from '../outbox/index.ts';

/** What work is done for: a storm, a job, or a site alone. */
export interface Subject {
  readonly kind: 'storms' | 'jobs' | 'sites';
  readonly id: string;
}

/** What was done for a storm or a job, or for all of them, as it stands by now: with what waits on this device. */
export function useApplications(subject: string | null, isWatched = false): readonly DoneRow[] | undefined {
  const { data } = useRows('applications', subject, { isWatched });
  return useMemo(() => data && doneRows(data), [data]);
}

interface Said {
  readonly subject: Subject;
  readonly input: ApplicationInput;
  /** When it was done; none: now. */
  readonly startedAt?: string;
  /** What it says anew. */
  readonly of?: DoneRow;
}

/** Appends what was done on an area: held on this device at once, and sent in its order. */
export function appendApplication({ subject, input, startedAt, of }: Said): Saving {
  const now = Date.now();
  const row: EventAppend = {
    id: newId(),
    subject: subject.id,
    first: of?.root ?? null,
    // What says it anew comes after what stands, whichever clock said that.
    occurredAt: startedAt ?? new Date(of ? Math.max(now, Date.parse(of.saidAt) + 1) : now).toISOString(),
    schemaVersion: EVENTS.applications.schemaVersion,
    input,
  };
  const name = say('winter.round.named', { round: input.round || 'none', area: input.areaName });
  return append('applications', row, { name, needs: [aboutDocument(subject.kind, subject.id)] });
}
