import type { nozzles, ReadableOf } from '@steady-scatter/contract';
import { showExact, showQuantity, textWithUnit, type UnitId } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/rigs';
import { DocList } from '../documents/list/DocList.tsx';
import { NOZZLES } from '../kinds/useNozzles.ts';
import { BenchTabs } from '../shell/BenchTabs.tsx';

type Line = ReadableOf<typeof nozzles>;

/** "0.40 gal / min at 40 psi" */
const flowText = ({ flow, flowUnit, at, pressureUnit }: Line): string =>
  flow === '' || at === ''
    ? say('rigs.nozzle.unrated')
    : say('rigs.nozzle.rated', {
        flow: textWithUnit(flow, flowUnit as UnitId),
        at: textWithUnit(at, pressureUnit as UnitId),
      });

/** "20 to 60 psi" */
function rangeText({ lowPa, highPa, pressureUnit }: Line): string {
  if (lowPa === null || highPa === null) return '—';
  const unit = pressureUnit as UnitId;
  const plain = (pa: number) => showExact(Number(showQuantity(pa, unit, 3).number.replaceAll(/\s/g, '')));
  return say('rigs.nozzle.range', { low: plain(lowPa), high: textWithUnit(plain(highPa), unit) });
}

/** The crew's own nozzles, the smallest first. */
export default function NozzlesPage() {
  return (
    <DocList
      kind={NOZZLES}
      heading={say('rigs.nozzle.heading')}
      tabs={<BenchTabs />}
      empty={say('rigs.nozzle.teach')}
      columns={[
        { header: say('rigs.nozzle.flow'), by: 'flowLPerS', cell: flowText },
        { header: say('rigs.nozzle.pressures'), wide: true, cell: rangeText },
      ]}
    />
  );
}
