import { say } from '@steady-scatter/words/winter';
import { DocList } from '../../documents/list/DocList.tsx';
import { STORMS } from '../../kinds/useStorms.ts';
import { WinterTabs } from '../../shell/WinterTabs.tsx';
import { dayText } from '../../ui/dayText.ts';

/** Storms, the last one first. */
export default function StormsPage() {
  return (
    <DocList
      kind={STORMS}
      heading={say('winter.storms.heading')}
      tabs={<WinterTabs />}
      empty={say('winter.storms.teach')}
      columns={[
        { header: say('winter.storms.from'), by: 'fromDay', cell: ({ fromDay }) => dayText(fromDay) },
        { header: say('winter.storms.to'), by: 'toDay', cell: ({ toDay }) => (toDay === '' ? say('winter.storms.running') : dayText(toDay)) }, // prettier-ignore
        { header: say('winter.storms.areas'), end: true, wide: true, cell: ({ areas }) => areas },
      ]}
    />
  );
}
