import type { jobs, ReadableOf } from '@steady-scatter/contract';
import type { PackageUnit } from '@steady-scatter/core/loads';
import { showQuantity, UNITS, type AreaUnit, type UnitId } from '@steady-scatter/core/quantities';
import { MISSING } from '@steady-scatter/core/working';
import { useMemo } from 'react';
import { say } from '@steady-scatter/words/sheet';
import { DocList } from '../documents/list/DocList.tsx';
import type { ListColumn, MarksProps } from '../documents/list/listColumns.ts';
import { JOBS } from '../kinds/useJobs.ts';
import { JobsTabs } from '../shell/JobsTabs.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { dayText } from '../ui/dayText.ts';
import { useRulesBroken } from './useRulesBroken.ts';

type JobLine = ReadableOf<typeof jobs>;
type Units = ReturnType<typeof usePreferences>['preferences']['units'];

const shown = (si: number | null, unit: UnitId): string => {
  if (si === null) return MISSING;
  const { number, unit: symbol } = showQuantity(si, unit);
  return `${number} ${symbol}`;
};

/** What is weighed out, in the preferred unit, unless that measures something else than this product. */
function amountText({ amountSi, amountUnit }: JobLine, { amount: preferred }: Units): string {
  const own = amountUnit as PackageUnit;
  return shown(amountSi, preferred && UNITS[preferred].kind === UNITS[own].kind ? preferred : own);
}

const groundText = ({ areas, totalM2, areaUnit }: JobLine, { area: preferred }: Units): string =>
  say('sheet.jobs.areas', { count: areas, size: shown(totalM2, preferred ?? (areaUnit as AreaUnit)) });

const columnsIn = (units: Units): ListColumn<JobLine>[] => [
  {
    header: say('sheet.jobs.day'),
    by: 'onDay',
    wide: true,
    oneLine: true,
    cell: ({ onDay }) => dayText(onDay),
  },
  { header: say('sheet.jobs.need'), wide: true, cell: ({ need }) => need || MISSING },
  { header: say('sheet.jobs.product'), by: 'product', wide: true, cell: ({ product }) => product || MISSING },
  {
    header: say('sheet.jobs.ground'),
    by: 'totalM2',
    wide: true,
    end: true,
    cell: (line) => groundText(line, units),
  },
  {
    header: say('sheet.ground.weighOut'),
    by: 'amountSi',
    end: true,
    cell: (line) => amountText(line, units),
  },
];

/** Which jobs break a rule, by the rules and the soil tests of today. */
function BrokenMarks({ lines, children }: MarksProps<JobLine>) {
  const broken = useRulesBroken(lines.map(({ id }) => id));
  return children(({ id, isReady }) => {
    const count = broken.get(id) ?? 0;
    if (count === 0) return isReady ? <span data-mark="good">{say('sheet.jobs.ready')}</span> : null;
    return (
      <span data-mark>
        ▲ {count === 1 ? say('sheet.rules.oneBroken') : say('sheet.rules.manyBroken', { count })}
      </span>
    );
  });
}

const EMPTY = (
  <>
    <b>{say('sheet.jobs.none')}</b>
    <br />
    {say('sheet.jobs.teach')}
  </>
);

/** All jobs, the latest day first, a page at a time. */
export default function JobsPage() {
  const { units } = usePreferences().preferences;
  const columns = useMemo(() => columnsIn(units), [units]);
  return (
    <DocList
      kind={JOBS}
      heading={say('sheet.jobs.heading')}
      tabs={<JobsTabs />}
      nameHeader="Job"
      newPath="/"
      newLabel={say('sheet.jobs.new')}
      columns={columns}
      detail={({ onDay, product }) => [dayText(onDay), product].filter(Boolean).join(', ')}
      Marks={BrokenMarks}
      empty={EMPTY}
    />
  );
}
