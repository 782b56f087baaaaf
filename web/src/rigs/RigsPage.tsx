import { evaluateRig, RIG_KINDS, type RigInput } from '@steady-scatter/core/rigs';
import { BenchTabs } from '../bench/BenchTabs.tsx';
import { DocList } from '../documents/DocList.tsx';
import { dayText } from '../ui/dayText.ts';
import { today } from '../ui/today.ts';
import { RIGS } from './useRigs.ts';

/** "gate 0 to 20, by 0.5 steps: 37 marks" */
function scaleText(rig: RigInput): string {
  const { marks } = evaluateRig(rig).control;
  if (marks.length === 0) return 'marks not typed yet';
  return `${rig.control.name}, ${marks.length} marks: ${marks[0]!.label} to ${marks.at(-1)!.label}`;
}

/** The next service that is due, or nothing. */
function dueText({ services }: RigInput): string {
  const [next] = services
    .map(({ dueDay }) => dueDay)
    .filter((day) => day !== '')
    .toSorted();
  if (!next) return 'nothing due';
  return next <= today() ? `▲ due since ${dayText(next)}` : dayText(next);
}

/** All machines of the crew. */
export default function RigsPage() {
  return (
    <DocList
      kind={RIGS}
      heading="Machines"
      tabs={<BenchTabs />}
      empty="No machine is kept yet. Type in its name and the marks of its gate, and the bench can say which one to set."
      columns={[
        { header: 'Kind', wide: true, cell: ({ kind }) => RIG_KINDS[kind].words },
        { header: 'Control', cell: scaleText },
        { header: 'Next service', wide: true, cell: dueText },
      ]}
    />
  );
}
