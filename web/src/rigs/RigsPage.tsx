import type { ReadableOf, rigs } from '@steady-scatter/contract';
import { nameOf, say } from '@steady-scatter/words/rigs';
import { BenchTabs } from '../shell/BenchTabs.tsx';
import { DocList } from '../documents/list/DocList.tsx';
import { dayText } from '../ui/dayText.ts';
import { today } from '../ui/today.ts';
import { RIGS } from '../kinds/useRigs.ts';

/** "gate 0 to 20, by 0.5 steps: 37 marks" */
const scaleText = ({ control, marks, firstMark, lastMark }: ReadableOf<typeof rigs>): string =>
  marks === 0
    ? say('rigs.list.noScale')
    : say('rigs.list.scale', { control, count: marks, first: firstMark, last: lastMark });

/** The next service that is due, or nothing. */
function dueText({ dueDay }: ReadableOf<typeof rigs>): string {
  if (dueDay === '') return say('rigs.list.nothingDue');
  return dueDay <= today() ? say('rigs.list.due', { day: dayText(dueDay) }) : dayText(dueDay);
}

/** All machines of the crew. */
export default function RigsPage() {
  return (
    <DocList
      kind={RIGS}
      heading={say('rigs.list.heading')}
      tabs={<BenchTabs />}
      empty={say('rigs.list.teach')}
      columns={[
        { header: say('rigs.list.kind'), by: 'kind', wide: true, cell: ({ kind }) => nameOf('rig', kind) },
        { header: say('rigs.list.control'), cell: scaleText },
        { header: say('rigs.list.nextService'), by: 'dueDay', wide: true, cell: dueText },
      ]}
    />
  );
}
