import { MAX_PAGE, type ReadableOf, type widthTests } from '@steady-scatter/contract';
import { showQuantity, type LengthUnit } from '@steady-scatter/core/quantities';
import { MISSING } from '@steady-scatter/core/working';
import { nameOf, say } from '@steady-scatter/words/width';
import { BenchTabs } from '../shell/BenchTabs.tsx';
import { DocList } from '../documents/list/DocList.tsx';
import { dayText } from '../ui/dayText.ts';
import { useList } from '../documents/docs.ts';
import { RIGS } from '../kinds/useRigs.ts';
import { WIDTH_TESTS } from '../kinds/useWidthTests.ts';

const spacingOf = (line: ReadableOf<typeof widthTests>): string => {
  const { accepted, acceptedOn, recommendedM, deflector, lengthUnit } = line;
  if (accepted !== '') return say('width.list.accepted', { spacing: accepted, day: dayText(acceptedOn) });
  if (recommendedM === null) return deflector ? say('width.list.trim') : MISSING;
  const { number, unit } = showQuantity(recommendedM, lengthUnit as LengthUnit);
  return say('width.list.recommended', { number, unit });
};

/** All width tests: which machine, by which habit, and the spacing that came of it. */
export default function WidthTestsPage() {
  const { data } = useList(RIGS, { limit: MAX_PAGE });
  return (
    <DocList
      kind={WIDTH_TESTS}
      heading={say('width.list.heading')}
      tabs={<BenchTabs />}
      empty={say('width.list.teach')}
      columns={[
        {
          header: say('width.list.machine'),
          wide: true,
          cell: ({ rig }) => data?.lines.find(({ id }) => id === rig)?.name ?? MISSING,
        },
        {
          header: 'By',
          wide: true,
          cell: ({ spacingMethod, deflector }) =>
            `${nameOf('spacingMethod', spacingMethod)}${deflector ? say('width.list.deflector') : ''}`,
        },
        { header: say('width.list.spacing'), cell: spacingOf },
      ]}
    />
  );
}
