import { achievedOver, isVoid } from '@steady-scatter/core/season';
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
  const achieved = achievedOver(counted);
  const percent = achieved ? String(Math.round(achieved.ratio * 100)) : 'none';
  const text = counted.length === 0 ? null : say('record.stop.done', { count: counted.length, percent });
  useEffect(() => onTold(text), [text, onTold]);
  return null;
}
