import { MAX_PAGE, type ReadableOf, type widthTests } from '@steady-scatter/contract';
import { showQuantity, type LengthUnit } from '@steady-scatter/core/quantities';
import { SPACING_METHODS } from '@steady-scatter/core/width';
import { MISSING } from '@steady-scatter/core/working';
import { BenchTabs } from '../shell/BenchTabs.tsx';
import { DocList } from '../documents/list/DocList.tsx';
import { dayText } from '../ui/dayText.ts';
import { useList } from '../documents/docs.ts';
import { RIGS } from '../kinds/useRigs.ts';
import { WIDTH_TESTS } from '../kinds/useWidthTests.ts';

const spacingOf = (line: ReadableOf<typeof widthTests>): string => {
  const { accepted, acceptedOn, recommendedM, deflector, lengthUnit } = line;
  if (accepted !== '') return `${accepted}, since ${dayText(acceptedOn)}`;
  if (recommendedM === null) return deflector ? 'for trim passes' : MISSING;
  const { number, unit } = showQuantity(recommendedM, lengthUnit as LengthUnit);
  return `${number} ${unit} recommended`;
};

/** All width tests: which machine, by which habit, and the spacing that came of it. */
export default function WidthTestsPage() {
  const { data } = useList(RIGS, { limit: MAX_PAGE });
  return (
    <DocList
      kind={WIDTH_TESTS}
      heading="Widths"
      tabs={<BenchTabs />}
      empty="No throw is measured yet. Set out a row of trays across it, say 17 of them half a metre apart, pass over them three times, and type what each caught: the widest spacing that is still even comes out."
      columns={[
        {
          header: 'Machine',
          wide: true,
          cell: ({ rig }) => data?.lines.find(({ id }) => id === rig)?.name ?? MISSING,
        },
        {
          header: 'By',
          wide: true,
          cell: ({ spacingMethod, deflector }) =>
            `${SPACING_METHODS[spacingMethod]}${deflector ? ', deflector down' : ''}`,
        },
        { header: 'Pass spacing', cell: spacingOf },
      ]}
    />
  );
}
