import { evaluateSite, type SiteAreaInput } from '@steady-scatter/core/ground';
import { useMemo } from 'react';
import { useSites } from '../kinds/useSites.ts';

/** An area that is treated in winter. */
export interface TreatedArea extends Pick<SiteAreaInput, 'id' | 'name' | 'surface' | 'shownIn'> {
  readonly site: string;
  readonly siteName: string;
  readonly areaM2: number | null;
  readonly isByHand: boolean;
  readonly winter: SiteAreaInput['winter'];
}

/** Areas of all sites that are treated in winter: the most urgent first, then site by site. */
export function useWinterAreas(): readonly TreatedArea[] | undefined {
  const { data } = useSites();
  return useMemo(
    () =>
      data
        ?.flatMap(({ id: site, input }) => {
          const used = input.areas.filter(({ winter }) => winter.use !== '');
          if (used.length === 0) return [];
          const read = evaluateSite(input).areas;
          return used.map(({ id, name, surface, shownIn, winter }): TreatedArea => {
            const areaM2 = read.find((area) => area.id === id)?.treatableM2 ?? null;
            return { id, name, surface, shownIn, site, siteName: input.name, areaM2, isByHand: winter.isByHand, winter }; // prettier-ignore
          });
        })
        .toSorted((a, b) => a.winter.priority.localeCompare(b.winter.priority) || a.siteName.localeCompare(b.siteName)), // prettier-ignore
    [data],
  );
}
