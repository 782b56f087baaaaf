import type { ReadableOf, rigs } from '@steady-scatter/contract';
import { RIG_KINDS } from '@steady-scatter/core/machines';
import { BenchTabs } from '../shell/BenchTabs.tsx';
import { DocList } from '../documents/list/DocList.tsx';
import { dayText } from '../ui/dayText.ts';
import { today } from '../ui/today.ts';
import { RIGS } from '../kinds/useRigs.ts';

/** "gate 0 to 20, by 0.5 steps: 37 marks" */
const scaleText = ({ control, marks, firstMark, lastMark }: ReadableOf<typeof rigs>): string =>
  marks === 0 ? 'marks not typed yet' : `${control}, ${marks} marks: ${firstMark} to ${lastMark}`;

/** The next service that is due, or nothing. */
function dueText({ dueDay }: ReadableOf<typeof rigs>): string {
  if (dueDay === '') return 'nothing due';
  return dueDay <= today() ? `▲ due since ${dayText(dueDay)}` : dayText(dueDay);
}

/** All machines of the crew. */
export default function RigsPage() {
  return (
    <DocList
      kind={RIGS}
      heading="Machines"
      tabs={<BenchTabs />}
      empty="No machine yet. Type in its name and the marks of its gate, and the bench can say which one to set."
      columns={[
        { header: 'Kind', by: 'kind', wide: true, cell: ({ kind }) => RIG_KINDS[kind].words },
        { header: 'Control', cell: scaleText },
        { header: 'Next service', by: 'dueDay', wide: true, cell: dueText },
      ]}
    />
  );
}
