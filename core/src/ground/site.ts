import { message } from '../messages/message.ts';
import { collect } from '../errors/collect.ts';
import { InputError } from '../errors/InputError.ts';
import { readName } from '../fields/heading.ts';
import { measureArea, type AreaMeasured } from './areaSheet.ts';
import { groundOf, type Ground } from './clip.ts';
import { buffersOf, evaluateEdge, type Buffers, type EdgeResult } from './edges.ts';
import { readPlace, type Place } from './geodetic.ts';
import { evaluatePaces, type PacesResult } from './paces.ts';
import { evaluateRows, type RowsResult } from './rows.ts';
import type { SiteAreaInput, SiteInput } from './siteInput.ts';

/** An area of a site as read. */
export interface SiteAreaResult {
  readonly id: string;
  readonly measured: AreaMeasured;
  readonly edges: readonly EdgeResult[];
  readonly buffers: Buffers;
  /** The area less what its buffers hold back, m2; null while the area is not known. */
  readonly treatableM2: number | null;
  /** Of the treatable ground. */
  readonly rows: RowsResult;
  readonly errors: readonly InputError[];
}

/** Most corners of edges that hold product back, in one area. */
const MAX_BUFFERED = 4000;

const pointsOn = (lines: EdgeResult['lines']): number =>
  lines.reduce((sum, { points }) => sum + points.length, 0);

/**
 * The area as it lies: all of a placed drawing; on a sum sheet the one part that adds, if there is just one.
 *
 * @example lyingGround(lawn, evaluateSiteArea(lawn, paces, 'areas.0').measured)?.length // 1
 */
export function lyingGround({ layoutMode }: SiteAreaInput, { parts, ground }: AreaMeasured): Ground | null {
  if (layoutMode === 'placed') return ground;
  const added = parts.filter(({ cut }) => !cut);
  return added.length === 1 ? groundOf(added[0]!.outlines) : null;
}

/**
 * Reads an area of a site: its size with its band, what buffers hold back, and its rows.
 *
 * @param field path of the area, for errors
 * @example evaluateSiteArea(lawn, paces, 'areas.0').treatableM2 // 218.88
 */
export function evaluateSiteArea(area: SiteAreaInput, paces: PacesResult, field: string): SiteAreaResult {
  const { errors, tryRead } = collect();
  const measured = measureArea(area.parts, area.layoutMode, paces, `${field}.parts`);
  const { areaM2, parts } = measured;
  const ground = lyingGround(area, measured);
  const edges = area.edges.flatMap((edge, index) => {
    // While nothing is drawn an edge has nowhere to run; that is missing, not wrong.
    if (areaM2 === null && edge.along !== 'length') return [];
    const read = tryRead(() => evaluateEdge(edge, parts, ground, `${field}.edges.${index}`));
    return read ? [read] : [];
  });
  const corners = edges.reduce((sum, { bufferM, lines }) => sum + (bufferM > 0 ? pointsOn(lines) : 0), 0);
  if (corners > MAX_BUFFERED) errors.push(new InputError('edge.too-many-corners', { field: `${field}.edges`, most: MAX_BUFFERED })); // prettier-ignore
  const buffers =
    areaM2 === null || corners > MAX_BUFFERED
      ? { ground: [], areaM2: 0 }
      : buffersOf(edges, ground ?? parts.filter(({ cut }) => !cut).flatMap(({ outlines }) => groundOf(outlines)), areaM2); // prettier-ignore
  const treatableM2 = areaM2 === null ? null : areaM2 - buffers.areaM2;
  const rows = evaluateRows(area.rows, treatableM2, `${field}.rows`);
  return {
    id: area.id,
    measured,
    edges,
    buffers,
    treatableM2,
    rows,
    errors: [...parts.flatMap((part) => part.errors), ...measured.errors, ...errors, ...rows.errors],
  };
}

/** A site as read. */
export interface SiteResult {
  readonly place: Place | null;
  readonly paces: PacesResult;
  readonly areas: readonly SiteAreaResult[];
  /** Of the areas that are treated, m2, with what is known of each; the bands add up, since they may share a pace. */
  readonly totals: {
    readonly areaM2: number;
    readonly heldBackM2: number;
    readonly treatableM2: number;
    readonly bandM2: number;
  };
  readonly errors: readonly InputError[];
}

/**
 * Reads all of a site.
 *
 * @returns always a reading; what is missing is null, what is wrong is in `errors` with its field's path
 * @example evaluateSite({ ...blankSite('a', 'us'), name: 'Lake front' }).errors // []
 */
export function evaluateSite(site: SiteInput): SiteResult {
  const { errors, tryRead } = collect();
  tryRead(() => readName(site.name, 'name', message('errors.example.site')));
  const place = tryRead(() => readPlace(site.place, 'place'));
  const paces = evaluatePaces(site.pace, 'pace');
  const areas = site.areas.map((area, index) => evaluateSiteArea(area, paces, `areas.${index}`));
  const treated = areas.filter((_, index) => site.areas[index]!.treated);
  const sum = (of: (area: SiteAreaResult) => number) =>
    treated.reduce((total, area) => total + (area.treatableM2 === null ? 0 : of(area)), 0);
  return {
    place,
    paces,
    areas,
    totals: {
      areaM2: sum(({ measured }) => measured.areaM2 ?? 0),
      heldBackM2: sum(({ buffers }) => buffers.areaM2),
      treatableM2: sum(({ treatableM2 }) => treatableM2 ?? 0),
      bandM2: sum(({ measured }) => measured.bandM2),
    },
    errors: [...errors, ...paces.errors, ...areas.flatMap((area) => area.errors)],
  };
}
