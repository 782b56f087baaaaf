import { EVENTS } from '@steady-scatter/contract';
import {
  looksDue,
  looksSeen,
  type DoneRow,
  type LookDue,
  type LookInput,
  type LookSeen,
} from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/looks';
import { append, useRows } from '../events/appended.ts';
import { aboutDocument } from '../outbox/index.ts';
import { today } from '../ui/today.ts';

/** What was seen of these rows, and which of them want to be looked at. */
export function useLooks(subject: string | null, rows: readonly DoneRow[]): { readonly seen: readonly LookSeen[]; readonly due: readonly LookDue[] } {
  const { data } = useRows('looks', subject);
  return useMemo(() => {
    const seen = looksSeen(data ?? [], rows);
    return { seen, due: data ? looksDue(rows, new Set(seen.map(({ input }) => input.application)), today()) : [] };
  }, [data, rows]);
} // prettier-ignore

/** A look at something that was put down: nothing seen yet. */
export const lookAt = (row: DoneRow, by: string): LookInput => ({
  application: row.root,
  area: row.input.area,
  areaName: row.input.areaName,
  productName: row.input.product.name,
  onDay: today(),
  by,
  rating: '',
  note: '',
  photos: [],
  void: '',
});

/** Appends what was seen: held on this device at once, and sent in its order. */
export function appendLook(row: DoneRow, input: LookInput): void {
  const said = { id: newId(), subject: row.subject, first: null, occurredAt: new Date().toISOString(), schemaVersion: EVENTS.looks.schemaVersion, input };
  append('looks', said, { name: say('looks.named', { area: input.areaName }), needs: [aboutDocument('jobs', row.subject)] });
} // prettier-ignore
