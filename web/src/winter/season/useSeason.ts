import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import {
  rowsWithin,
  saltBy,
  saltOf,
  savingAgainst,
  yearBefore,
  evaluateWinter,
  type DoneRow,
  type SaltSums,
  type Saving,
  type SeasonRow,
  type WinterInput,
} from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { useApplications } from '../../kinds/useApplications.ts';
import { useStorms } from '../../kinds/useStorms.ts';
import { dayOf, today } from '../../ui/today.ts';

/** A part of a season under its name. */
export interface Part {
  readonly key: string;
  readonly name: string;
  readonly sums: SaltSums;
}

export interface Season {
  readonly rows: readonly (SeasonRow & DoneRow)[];
  readonly sums: SaltSums;
  /** The same days a year before; null: nothing is known of them. */
  readonly before: SaltSums | null;
  readonly storms: readonly Part[];
  readonly sites: readonly Part[];
  readonly areas: readonly Part[];
  readonly goalKg: number | null;
  readonly saving: Saving | null;
  readonly stormName: (id: string) => string;
}

const rowOf = (row: DoneRow): SeasonRow & DoneRow => ({ ...row, id: row.root, onDay: dayOf(new Date(row.startedAt)) }); // prettier-ignore

/** What a winter comes to: salt by storm, site and area, against its goal and the year before. */
export function useSeason(winter: WinterInput): Season | null {
  const all = useApplications(null);
  const { data: storms } = useStorms();
  return useMemo(() => {
    if (!all || !storms) return null;
    const { goalKg, habitKgPerM2, errors } = evaluateWinter(winter);
    const dated = all.filter(({ input }) => PRODUCT_KINDS[input.product.kind].puts === 'de-icer').map(rowOf);
    const isDated = !errors.some(({ field }) => field === 'fromDay' || field === 'toDay');
    const rows = isDated ? rowsWithin(dated, winter.fromDay, winter.toDay) : [];
    const earlier = isDated ? yearBefore(winter, today()) : null;
    const before = earlier ? rowsWithin(dated, earlier.fromDay, earlier.toDay) : [];
    const stormName = (id: string) => storms.find((storm) => storm.id === id)?.input.name ?? '—';
    const parts = (keyOf: (row: SeasonRow) => string, nameOf: (key: string) => string): Part[] => saltBy(rows, keyOf).map(({ key, sums }) => ({ key, name: nameOf(key), sums })); // prettier-ignore
    const most = (some: Part[]) => some.toSorted((a, b) => b.sums.saltKg - a.sums.saltKg);
    return {
      rows,
      sums: saltOf(rows),
      before: before.length > 0 ? saltOf(before) : null,
      storms: parts(({ subject }) => subject, stormName),
      sites: most(parts(({ input }) => input.siteName, (name) => name)),
      areas: most(parts(({ input }) => [input.areaName, input.siteName].filter(Boolean).join(', '), (name) => name)),
      goalKg,
      saving: habitKgPerM2 === null ? null : savingAgainst(rows, habitKgPerM2),
      stormName,
    };
  }, [all, storms, winter]); // prettier-ignore
}
