import {
  adviceText,
  MISSING,
  NO_SCALE,
  readCalibration,
  readRig,
  UNITS,
  type CalibrationTyped,
} from '@steady-scatter/core';
import { DocList } from '../kept/DocList.tsx';
import { useRigs } from '../rigs/useRigs.ts';
import { dayText } from '../ui/dayText.ts';
import { BenchTabs } from './BenchTabs.tsx';
import { CALIBRATIONS } from './useCalibrations.ts';

/** All calibrations of the crew: which machine, for what, and how it stands. */
export default function BenchPage() {
  const { data: rigs = [] } = useRigs();
  const stands = (typed: CalibrationTyped): string => {
    if (typed.signOff) return `at ${typed.signOff.setting}, since ${dayText(typed.signOff.onDay)}`;
    const rig = rigs.find(({ id }) => id === typed.rig);
    const read = rig && readRig(rig.typed);
    const text = adviceText(
      readCalibration(typed, read?.control ?? NO_SCALE, read?.paceMPerS ?? null),
      typed,
    );
    return text ? `${text.act} ${text.mark}` : 'not begun';
  };
  return (
    <DocList
      kind={CALIBRATIONS}
      heading="Bench"
      tabs={<BenchTabs />}
      empty="No machine is calibrated yet. Type in a run, say 48.00 lb before a strip of 100 ft and 45.05 lb after it, and the bench says what to set next."
      columns={[
        {
          header: 'Product',
          wide: true,
          cell: ({ product, lot }) => [product, lot].filter(Boolean).join(', ') || MISSING,
        },
        {
          header: 'Rate',
          end: true,
          wide: true,
          cell: ({ target: { amount, unit } }) => (amount ? `${amount} ${UNITS[unit].symbol}` : MISSING),
        },
        { header: 'Setting', cell: stands },
      ]}
    />
  );
}
