import { localPlane, type LocalPlane, type Place } from '../geodetic.ts';
import type { Outline } from '../outline.ts';
import { piecesOf } from '../pieces.ts';
import { lyingGround, type SiteAreaResult, type SiteResult } from '../site.ts';
import type { SiteAreaInput, SiteInput } from '../siteInput.ts';

/** Formats that a site is written in. */
export const WRITTEN = {
  geojson: { type: 'application/geo+json' },
  kml: { type: 'application/vnd.google-earth.kml+xml' },
  gpx: { type: 'application/gpx+xml' },
  csv: { type: 'text/csv' },
} as const;
export type WrittenFormat = keyof typeof WRITTEN;

interface Written {
  readonly area: SiteAreaInput;
  readonly reading: SiteAreaResult;
  /** Closed rings of places, seven decimals of a degree: a centimetre. */
  readonly polygons: readonly (readonly (readonly [number, number])[])[][];
}

const rounded = (degrees: number): number => Math.round(degrees * 1e7) / 1e7;

function ringOf(outline: Outline, plane: LocalPlane): [number, number][] {
  const places = outline.map((point): [number, number] => {
    const { latDeg, lonDeg } = plane.toPlace(point);
    return [rounded(lonDeg), rounded(latDeg)];
  });
  return [...places, places[0]!];
}

function writtenAreas(site: SiteInput, reading: SiteResult, place: Place): Written[] {
  const plane = localPlane(place);
  return site.areas.map((area, index) => {
    const read = reading.areas[index]!;
    const ground = lyingGround(area, read.measured) ?? [];
    const polygons = piecesOf(ground).map((rings) => rings.map((ring) => ringOf(ring, plane)));
    return { area, reading: read, polygons };
  });
}

const geojson = (areas: readonly Written[]): string =>
  JSON.stringify({
    type: 'FeatureCollection',
    features: areas.map(({ area, reading, polygons }) => ({
      type: 'Feature',
      properties: {
        name: area.name,
        surface: area.surface,
        treated: area.treated,
        areaM2: reading.measured.areaM2,
        bandM2: reading.measured.bandM2,
        treatableM2: reading.treatableM2,
      },
      // Parts of a sum sheet have no place: their area is told without a shape.
      geometry: polygons.length === 0 ? null : { type: 'MultiPolygon', coordinates: polygons },
    })),
  });

const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

function kml(areas: readonly Written[]): string {
  const ring = (points: readonly (readonly [number, number])[]) =>
    `<LinearRing><coordinates>${points.map((point) => point.join(',')).join(' ')}</coordinates></LinearRing>`;
  const polygon = ([edge, ...holes]: Written['polygons'][number]) =>
    `<Polygon><outerBoundaryIs>${ring(edge!)}</outerBoundaryIs>${holes.map((hole) => `<innerBoundaryIs>${ring(hole)}</innerBoundaryIs>`).join('')}</Polygon>`;
  const marks = areas
    .filter(({ polygons }) => polygons.length > 0)
    .map(
      ({ area, polygons }) =>
        `<Placemark><name>${escaped(area.name)}</name><MultiGeometry>${polygons.map(polygon).join('')}</MultiGeometry></Placemark>`,
    );
  return `<?xml version="1.0" encoding="UTF-8"?>\n<kml xmlns="http://www.opengis.net/kml/2.2"><Document>${marks.join('\n')}</Document></kml>\n`;
}

/** Tracks have no holes: each hole is a track of its own. */
function gpx(areas: readonly Written[]): string {
  const tracks = areas.flatMap(({ area, polygons }) =>
    polygons.flat().map((ring, index) => {
      const points = ring.map(([lon, lat]) => `<trkpt lat="${lat}" lon="${lon}"/>`).join('');
      const name = index === 0 ? area.name : `${area.name} ${index + 1}`;
      return `<trk><name>${escaped(name)}</name><trkseg>${points}</trkseg></trk>`;
    }),
  );
  return `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Steady Scatter" xmlns="http://www.topografix.com/GPX/1/1">${tracks.join('\n')}</gpx>\n`;
}

const cell = (text: string): string => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);

function csv(areas: readonly Written[]): string {
  const rows = areas.flatMap(({ area, polygons }) =>
    polygons.flat().flatMap((ring, index) => {
      const name = index === 0 ? area.name : `${area.name} ${index + 1}`;
      return ring.slice(0, -1).map(([lon, lat]) => `${cell(name)},${lat},${lon}`);
    }),
  );
  return `${['area,lat,lon', ...rows].join('\n')}\n`;
}

const WRITERS = { geojson, kml, gpx, csv } as const satisfies Record<
  WrittenFormat,
  (areas: readonly Written[]) => string
>;

/**
 * A site as a boundary file: each area by its name, with its pieces and holes.
 *
 * @param place where the zero of the site's drawings lies
 * @returns the text of the file; areas whose parts have no place come without a shape in GeoJSON and not at all elsewhere
 * @example writeSite(site, evaluateSite(site), { latDeg: 44, lonDeg: -93 }, 'geojson') // '{"type":"FeatureCollection",…'
 */
export const writeSite = (
  site: SiteInput,
  reading: SiteResult,
  place: Place,
  format: WrittenFormat,
): string => WRITERS[format](writtenAreas(site, reading, place));
