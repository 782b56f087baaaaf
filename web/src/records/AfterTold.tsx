import { evaluateApplication, isVoid } from '@steady-scatter/core/season';
import { memo, useEffect } from 'react';
import { say } from '@steady-scatter/words/record';
import { useApplications } from '../kinds/useApplications.ts';

interface Props {
  /** Of the job; none: it is not saved yet. */
  id: string | undefined;
  onTold(text: string | null): void;
}

/** Tells in a few words what is recorded of a job. Shows nothing: its code is loaded beside the sheet, not with it, and also beside a new one. */
export default memo(function AfterTold({ id, onTold }: Props) {
  return id === undefined ? null : <Told id={id} onTold={onTold} />;
});

function Told({ id, onTold }: { id: string; onTold(text: string | null): void }) {
  const rows = useApplications(id);
  const counted = (rows ?? []).filter(({ input }) => !isVoid(input));
  const read = counted.filter(({ input }) => input.amount.from !== 'planned').map(({ input }) => evaluateApplication(input)); // prettier-ignore
  const known = read.filter(({ ratio }) => ratio !== null);
  const meant = known.reduce((sum, { meantSi, areaM2 }) => sum + meantSi! * areaM2!, 0);
  const used = known.reduce((sum, { amountSi }) => sum + amountSi!, 0);
  const percent = meant > 0 ? String(Math.round((used / meant) * 100)) : 'none';
  const text = counted.length === 0 ? null : say('record.stop.done', { count: counted.length, percent });
  useEffect(() => onTold(text), [text, onTold]);
  return null;
}
