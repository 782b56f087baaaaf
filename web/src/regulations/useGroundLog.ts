import { nameKey } from '@steady-scatter/core/fields';
import { doneOn, soFarOn, yearOf, type GroundLog } from '@steady-scatter/core/regulations';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { useLedger } from '../kinds/useLedger.ts';
import { useCrew } from '../settings/CrewProvider.tsx';
import { useSheet } from '../sheet/sheet.tsx';
import { useShared } from '../ui/useShared.ts';

/** An interval before the crew's year is looked back over, days of a year. */
const A_YEAR_BEFORE = 1;

/** What the records say of the ground of the open sheet on a day: in the crew's year, and the last before it. */
export function useGroundLog(onDay: string): GroundLog | undefined {
  const { worksheet } = useSheet();
  const { id } = useParams();
  const { yearStart } = useCrew();
  const areas = useShared([...new Set(worksheet.areas.flatMap(({ from }) => (from ? [from.area] : [])))]);
  const year = useMemo(() => (/^\d{4}-\d\d-\d\d$/.test(onDay) ? yearOf(onDay, yearStart) : null), [onDay, yearStart]); // prettier-ignore
  const isAsked = year !== null && areas.length > 0;
  const before = year && `${Number(year.from.slice(0, 4)) - A_YEAR_BEFORE}${year.from.slice(4)}`;
  const { data: inYear } = useLedger(isAsked ? { ...year, areas, without: id ?? null } : null);
  const { data: earlier } = useLedger(
    isAsked ? { from: before!, to: year.to, areas, without: id ?? null } : null,
  );
  const product = nameKey(worksheet.product.name || worksheet.product.grade);
  return useMemo(() => {
    if (!inYear || !year) return undefined;
    const own = inYear.flatMap(({ products }) => products).filter(({ key }) => key === product);
    return {
      soFar: soFarOn(inYear),
      beforeSi: Math.max(0, ...own.map(({ siPerM2 }) => siPerM2)),
      done: doneOn(earlier ?? inYear, product, year.from),
    };
  }, [inYear, earlier, year, product]);
}
