import { say } from '@steady-scatter/words/winter';
import { DocList } from '../../documents/list/DocList.tsx';
import { GUIDES } from '../../kinds/useGuides.ts';
import { WinterTabs } from '../../shell/WinterTabs.tsx';
import { dayText } from '../../ui/dayText.ts';

/** The rate guides that the crew works by. */
export default function GuidesPage() {
  return (
    <DocList
      kind={GUIDES}
      heading={say('winter.guides.heading')}
      tabs={<WinterTabs />}
      empty={say('winter.guides.teach')}
      columns={[
        { header: say('winter.guides.from'), by: 'fromDay', cell: ({ fromDay }) => dayText(fromDay) },
        { header: say('winter.guides.lines'), by: 'lines', end: true, cell: ({ lines }) => lines },
        { header: say('winter.guides.source'), wide: true, cell: ({ source }) => source || '—' },
      ]}
    />
  );
}
