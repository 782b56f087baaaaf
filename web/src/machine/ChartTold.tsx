import { toResult } from '@steady-scatter/core/errors';
import { readWidth } from '@steady-scatter/core/machines';
import { mismatchOf } from '@steady-scatter/core/width';
import type { SpreadInput } from '@steady-scatter/core/worksheet';
import { memo, useEffect } from 'react';
import { useDoc } from '../documents/docs.ts';
import { CALIBRATIONS } from '../kinds/useCalibrations.ts';

/** What the tape tells of a job's chart. */
export interface ToldChart {
  readonly name: string;
  /** The setting that was signed off; empty: none. */
  readonly setting: string;
  /** The spacing that it is worked out for. */
  readonly spacing: string;
  /** The job is passed at another one, and nothing was worked out for that. */
  readonly isOtherSpacing: boolean;
}

/** Null: not typed, or not to be read. */
export const metres = (width: SpreadInput['width'] | undefined): number | null =>
  !width || width.text.trim() === ''
    ? null
    : toResult(() => readWidth({ ...width, by: 'chosen' }, 'width').si).value;

interface Props {
  /** The chart that the job goes by, and how far apart it is passed. */
  spread: SpreadInput;
  onTold(chart: ToldChart | null): void;
}

/** Tells what stands in a chart. Shows nothing: the code of charts is loaded beside the sheet, not with it. */
export default memo(function ChartTold({ spread, onTold }: Props) {
  const id = spread.calibration;
  const { data } = useDoc(CALIBRATIONS, id === '' ? null : id);
  const { name = '', signOff, width } = data?.input ?? {};
  const [setting, spacing, isThere] = [signOff?.setting ?? '', width?.text ?? '', data !== undefined];
  const [worked, passed] = [metres(width), metres(spread.width)];
  const isOtherSpacing = !spread.recomputed && worked !== null && passed !== null && mismatchOf(worked, passed) !== null; // prettier-ignore
  useEffect(() => {
    onTold(isThere ? { name, setting, spacing, isOtherSpacing } : null);
  }, [isThere, name, setting, spacing, isOtherSpacing, onTold]);
  return null;
});
