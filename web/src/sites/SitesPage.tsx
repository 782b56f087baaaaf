import type { ReadableOf, sites } from '@steady-scatter/contract';
import { showSize } from '@steady-scatter/core/ground';
import type { AreaUnit } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/sites';
import { DocList } from '../documents/list/DocList.tsx';
import { SITES } from '../kinds/useSites.ts';

/** "2 867 ft² ±52" of all that is treated on a site, in the unit of its first area. */
function sizeText({ treatableM2, bandM2, areaUnit }: ReadableOf<typeof sites>): string {
  if (!treatableM2) return say('sites.list.unmeasured');
  const { number, band, unit } = showSize(treatableM2, bandM2 ?? 0, areaUnit as AreaUnit);
  return `${number}${band ? ` ±${band}` : ''} ${unit}`;
}

/** All sites of the crew. */
export default function SitesPage() {
  return (
    <DocList
      kind={SITES}
      heading={say('sites.list.heading')}
      tabs={null}
      empty={say('sites.list.teach')}
      columns={[
        {
          header: say('sites.list.areas'),
          wide: true,
          cell: ({ areaNames }) => areaNames.join(', '),
        },
        { header: say('sites.list.toTreat'), by: 'treatableM2', end: true, cell: sizeText },
      ]}
    />
  );
}
