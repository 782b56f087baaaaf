import { say } from '@steady-scatter/words/plans';
import { DocList } from '../documents/list/DocList.tsx';
import { PLANS } from '../kinds/usePlans.ts';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { dayText } from '../ui/dayText.ts';

/** All plans of the crew, the latest first. */
export default function PlansPage() {
  return (
    <DocList
      kind={PLANS}
      heading={say('plans.heading')}
      tabs={<JobsTabs />}
      empty={say('plans.teach')}
      columns={[
        { header: say('plans.days'), by: 'fromDay', oneLine: true, cell: ({ fromDay, toDay }) => say('plans.span', { from: dayText(fromDay), to: dayText(toDay) }) }, // prettier-ignore
        { header: say('plans.list'), wide: true, cell: ({ portions: count, areas }) => say('plans.portions', { count, areas }) }, // prettier-ignore
      ]}
    />
  );
}
