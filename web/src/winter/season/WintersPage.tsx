import { say } from '@steady-scatter/words/winter';
import { DocList } from '../../documents/list/DocList.tsx';
import { WINTERS } from '../../kinds/useWinters.ts';
import { WinterTabs } from '../../shell/WinterTabs.tsx';
import { useSystem } from '../../settings/useSystem.ts';
import { dayText } from '../../ui/dayText.ts';
import { shownIn } from '../../units/shownIn.ts';

/** Winters, the last one first. */
export default function WintersPage() {
  const unit = useSystem() === 'us' ? 'lb' : 'kg';
  return (
    <DocList
      kind={WINTERS}
      heading={say('winter.seasons.heading')}
      tabs={<WinterTabs />}
      empty={say('winter.seasons.teach')}
      columns={[
        { header: say('winter.season.from'), by: 'fromDay', cell: ({ fromDay }) => dayText(fromDay) },
        { header: say('winter.season.to'), wide: true, cell: ({ toDay }) => dayText(toDay) },
        { header: say('winter.season.most'), end: true, cell: ({ goalKg }) => (goalKg === null ? '—' : shownIn(goalKg, unit)) }, // prettier-ignore
      ]}
    />
  );
}
