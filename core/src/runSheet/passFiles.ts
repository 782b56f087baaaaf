import { localPlane, type LocalPlane, type Place, type Point } from '../ground/index.ts';
import type { Leg } from '../passes/index.ts';
import type { AreaRun } from './areaRun.ts';

/** What a pass is called in a file. */
export type NameOfLeg = (leg: Leg) => string;

const rounded = (degrees: number): number => Math.round(degrees * 1e7) / 1e7;

const placesOf = (line: readonly Point[], plane: LocalPlane): [number, number][] =>
  line.map((point) => {
    const { latDeg, lonDeg } = plane.toPlace(point);
    return [rounded(lonDeg), rounded(latDeg)];
  });

/**
 * Passes of areas as GeoJSON lines, in the order in which they are walked.
 *
 * @param place where the drawing's zero lies
 * @example passesGeoJson([], { latDeg: 47, lonDeg: -91 }, () => '') // '{"type":"FeatureCollection","features":[]}'
 */
export function passesGeoJson(areas: readonly AreaRun[], place: Place, nameOf: NameOfLeg): string {
  const plane = localPlane(place);
  const features = areas.flatMap(({ name: area, plan }) =>
    plan.legs.map((leg, index) => ({
      type: 'Feature',
      properties: { area, name: nameOf(leg), zone: leg.zone, order: index + 1, lengthM: leg.lengthM },
      geometry: { type: 'LineString', coordinates: placesOf(leg.line, plane) },
    })),
  );
  return JSON.stringify({ type: 'FeatureCollection', features });
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/**
 * The same as GPX: each area a track, each pass a stretch of it.
 *
 * @example passesGpx([], { latDeg: 47, lonDeg: -91 }).endsWith('</gpx>') // true
 */
export function passesGpx(areas: readonly AreaRun[], place: Place): string {
  const plane = localPlane(place);
  const tracks = areas.map(({ name, plan }) => {
    const stretches = plan.legs.map(({ line }) => `<trkseg>${placesOf(line, plane).map(([lon, lat]) => `<trkpt lat="${lat}" lon="${lon}"/>`).join('')}</trkseg>`); // prettier-ignore
    return `<trk><name>${escaped(name)}</name>${stretches.join('')}</trk>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?><gpx version="1.1" creator="Steady Scatter" xmlns="http://www.topografix.com/GPX/1/1">${tracks.join('')}</gpx>`;
}
