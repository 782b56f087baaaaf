import { Button } from '@chakra-ui/react';
import type { ReadableOf, soilTests } from '@steady-scatter/contract';
import { UNITS, type MassPerAreaUnit } from '@steady-scatter/core/quantities';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/shelf';
import { DocList } from '../documents/list/DocList.tsx';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { dayText } from '../ui/dayText.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';

/** "120 N, 0 P2O5, 80 K2O kg / ha" */
const needsText = ({ needs, unit }: ReadableOf<typeof soilTests>): string =>
  needs.length === 0
    ? say('shelf.soil.noNeeds')
    : `${needs.join(', ')}  ${UNITS[unit as MassPerAreaUnit].symbol}`;

/** All soil tests of the crew. */
export default function SoilTestsPage() {
  return (
    <DocList
      kind={SOIL_TESTS}
      heading={say('shelf.soil.heading')}
      tabs={<ShelfTabs />}
      empty={say('shelf.soil.teach')}
      columns={[
        {
          header: say('shelf.soil.sampled'),
          by: 'onDay',
          oneLine: true,
          cell: ({ onDay }) => dayText(onDay),
        },
        { header: say('shelf.soil.needsHeading'), cell: needsText },
        { header: 'pH', by: 'ph', end: true, wide: true, cell: ({ ph }) => ph ?? '—' },
        { header: say('shelf.soil.laboratory'), by: 'lab', wide: true, cell: ({ lab }) => lab || '—' },
      ]}
      renderAct={({ id }) => (
        <Button asChild size="sm" minHeight="44px" hideBelow="md">
          <Link to={`/shelf/mix?soil=${id}`}>{say('shelf.soil.mix')}</Link>
        </Button>
      )}
    />
  );
}
