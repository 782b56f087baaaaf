import type { ReadableOf, sites } from '@steady-scatter/contract';
import { showSize } from '@steady-scatter/core/ground';
import type { AreaUnit } from '@steady-scatter/core/quantities';
import { DocList } from '../documents/list/DocList.tsx';
import { SITES } from '../kinds/useSites.ts';

/** "2 867 ft² ±52" of all that is treated on a site, in the unit of its first area. */
function sizeText({ treatableM2, bandM2, areaUnit }: ReadableOf<typeof sites>): string {
  if (!treatableM2) return 'not measured yet';
  const { number, band, unit } = showSize(treatableM2, bandM2 ?? 0, areaUnit as AreaUnit);
  return `${number}${band ? ` ±${band}` : ''} ${unit}`;
}

/** All sites of the crew. */
export default function SitesPage() {
  return (
    <DocList
      kind={SITES}
      heading="Sites"
      tabs={null}
      empty="No site yet. Measure one as you would call it out to a helper: 62 x 38, less a circle of 6. Its areas can then be chosen on every job, with how far each size may be off."
      columns={[
        {
          header: 'Areas',
          wide: true,
          cell: ({ areaNames }) => areaNames.join(', '),
        },
        { header: 'To treat', by: 'treatableM2', end: true, cell: sizeText },
      ]}
    />
  );
}
