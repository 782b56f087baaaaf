import { showQuantity } from '@steady-scatter/core/quantities';
import { evaluateWidthTest, WAYS, type WidthTestInput } from '@steady-scatter/core/width';
import { MISSING } from '@steady-scatter/core/working';
import { BenchTabs } from '../bench/BenchTabs.tsx';
import { DocList } from '../documents/DocList.tsx';
import { dayText } from '../ui/dayText.ts';
import { useRigs } from '../rigs/useRigs.ts';
import { WIDTH_TESTS } from './useWidthTests.ts';

const spacingOf = (typed: WidthTestInput): string => {
  if (typed.accepted) return `${typed.accepted.text}, since ${dayText(typed.accepted.onDay)}`;
  const { recommendedM } = evaluateWidthTest(typed);
  if (recommendedM === null) return typed.deflector ? 'for trim passes' : MISSING;
  const { number, unit } = showQuantity(recommendedM, typed.layout.unit);
  return `${number} ${unit} recommended`;
};

/** All width tests: which machine, by which habit, and the spacing that came of it. */
export default function WidthTestsPage() {
  const { data: rigs = [] } = useRigs();
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
          cell: ({ rig }) => rigs.find(({ id }) => id === rig)?.typed.name ?? MISSING,
        },
        {
          header: 'By',
          wide: true,
          cell: ({ way, deflector }) => `${WAYS[way]}${deflector ? ', deflector down' : ''}`,
        },
        { header: 'Pass spacing', cell: spacingOf },
      ]}
    />
  );
}
