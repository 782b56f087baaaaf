import { measuredSize } from '@steady-scatter/core/fields';
import { evaluateSite, type SiteInput } from '@steady-scatter/core/ground';
import type { AreaInput } from '@steady-scatter/core/worksheet';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/sheet';
import type { Doc } from '../documents/docs.ts';

/** An area of a site as a sheet takes it. */
export interface SiteArea {
  readonly area: AreaInput & { readonly from: { readonly site: string; readonly area: string } };
  readonly areaM2: number;
  readonly isTreated: boolean;
}

/** Each measured area of a site with its size of now. */
export function siteAreas({ id: site, input }: Doc<SiteInput>): SiteArea[] {
  return evaluateSite(input).areas.flatMap(({ id, treatableM2, measured }, index) => {
    const { name, shownIn, treated } = input.areas[index]!;
    if (!treatableM2) return [];
    const area = {
      id: newId(),
      name: name || say('sheet.area.number', { number: index + 1 }),
      size: measuredSize(treatableM2, measured.bandM2, shownIn),
      unit: shownIn,
      from: { site, area: id },
    };
    return [{ area, areaM2: treatableM2, isTreated: treated }];
  });
}
