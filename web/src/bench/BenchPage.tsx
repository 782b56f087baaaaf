import { UNITS } from '@steady-scatter/core/quantities';
import { adviceText, type BenchRateUnit, type CalibrationInput } from '@steady-scatter/core/testing';
import { MISSING } from '@steady-scatter/core/working';
import { DocList } from '../documents/DocList.tsx';
import { dayText } from '../ui/dayText.ts';
import { calibrationContext, useBenchShelf } from './calibrationContext.ts';
import { BenchTabs } from './BenchTabs.tsx';
import { ageOf, FRESH_WORDS } from './SignOff.tsx';
import { AIMS } from './useCalibrations.ts';

/** All calibrations of the crew: which machine, for what, how it stands, and whether it still holds. */
export default function BenchPage() {
  const shelf = useBenchShelf();
  const stands = (input: CalibrationInput): string => {
    if (input.signOff) return `at ${input.signOff.setting}, since ${dayText(input.signOff.onDay)}`;
    const { reading, product } = calibrationContext(input, shelf);
    const text = adviceText(reading, input, product?.kind);
    if (input.runs.length === 0) return 'not begun';
    return text ? `next: ${text.act.toLowerCase()} ${text.mark}` : 'no machine chosen';
  };
  const holds = (input: CalibrationInput): string => {
    const { state, reasons } = ageOf(input, calibrationContext(input, shelf));
    return state === 'none' ? MISSING : [FRESH_WORDS[state], ...reasons.slice(0, 1)].join(': ');
  };
  const of =
    (tell: (input: CalibrationInput) => string) =>
    ({ id }: { readonly id: string }) => {
      const input = shelf.calibrations.find((each) => each.id === id)?.input;
      return input ? tell(input) : MISSING;
    };
  return (
    <DocList
      kind={AIMS}
      heading="Bench"
      tabs={<BenchTabs />}
      empty="No machine is calibrated yet. Say which machine and what rate, walk a strip of 100 ft with 48.00 lb before it and 45.05 lb after it, and the bench says what to set next."
      columns={[
        {
          header: 'Rate',
          end: true,
          wide: true,
          cell: ({ target, targetUnit }) => (target ? `${target} ${UNITS[targetUnit as BenchRateUnit].symbol}` : MISSING), // prettier-ignore
        },
        { header: 'Setting', cell: of(stands) },
        { header: 'Its chart', wide: true, cell: of(holds) },
      ]}
    />
  );
}
