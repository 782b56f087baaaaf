import * as z from 'zod';
import { InputError } from '../errors/InputError.ts';
import { text, type InputOf } from '../fields/schema.ts';
import { readNumber } from '../quantities/numbers.ts';
import type { Point } from './outline.ts';

/** A place on the earth, degrees north and east (WGS 84). */
export interface Place {
  readonly latDeg: number;
  readonly lonDeg: number;
}

/** A place as typed; both empty while it is not known. */
export const placeInput = z.object({ lat: text, lon: text });
export type PlaceInput = InputOf<typeof placeInput>;

// WGS 84: semi-major axis (m) and flattening, as defined in NIMA TR8350.2.
const A = 6_378_137;
const F = 1 / 298.257223563;
const E2 = F * (2 - F);
const E = Math.sqrt(E2);
const RAD = Math.PI / 180;

/** Twice the area from the equator up to a latitude, per radian of longitude, over the square of A (Snyder 1987, 3-12). */
const q = (sin: number): number =>
  (1 - E2) * (sin / (1 - E2 * sin * sin) - Math.log((1 - E * sin) / (1 + E * sin)) / (2 * E));

/** The latitude (radians) for q: Newton's method (Snyder 1987, 3-16); four rounds reach 1e-15 below 89 degrees. */
function latitudeOf(value: number): number {
  let lat = Math.asin(Math.max(-1, Math.min(1, value / 2)));
  for (let round = 0; round < 6; round += 1) {
    const sin = Math.sin(lat);
    lat += ((1 - E2 * sin * sin) ** 2 / (2 * Math.cos(lat) * (1 - E2))) * (value - q(sin));
  }
  return lat;
}

/** Metres east and north of a place, and back. */
export interface LocalPlane {
  toPlane(place: Place): Point;
  toPlace(point: Point): Place;
}

/**
 * A plane about a place on which areas are those of the ellipsoid: cylindrical equal-area, true to scale at the place
 * (Snyder 1987, "Map projections: a working manual", USGS PP 1395, 10-1, 10-15 and 10-16). Straight sides stand for
 * geodesics: over 1 km they part by about 2 cm. Lengths 10 km north of the place are off by about 0.2 %, areas by nothing.
 *
 * @param origin latitude within 85 degrees of the equator
 * @example localPlane({ latDeg: 47, lonDeg: -91 }).toPlane({ latDeg: 47.001, lonDeg: -91 }) // { x: 0, y: 111.17 }
 */
export function localPlane(origin: Place): LocalPlane {
  const sin0 = Math.sin(origin.latDeg * RAD);
  const k0 = Math.cos(origin.latDeg * RAD) / Math.sqrt(1 - E2 * sin0 * sin0);
  const q0 = q(sin0);
  return {
    toPlane({ latDeg, lonDeg }) {
      const east = ((lonDeg - origin.lonDeg + 540) % 360) - 180;
      return { x: A * k0 * east * RAD, y: (A * (q(Math.sin(latDeg * RAD)) - q0)) / (2 * k0) };
    },
    toPlace: ({ x, y }) => ({
      latDeg: latitudeOf(q0 + (2 * k0 * y) / A) / RAD,
      lonDeg: origin.lonDeg + x / (A * k0 * RAD),
    }),
  };
}

/** Farther from the equator than this the plane is too much out of scale. */
const MAX_LAT = 85;

function readDegrees(text: string, most: number, field: string): number {
  const degrees = readNumber(text.replace(/°\s*$/, ''), field);
  if (Math.abs(degrees) <= most) return degrees;
  throw new InputError('place.range', { field, input: text, most });
}

/**
 * Reads a place in decimal degrees.
 *
 * @returns null while nothing is typed
 * @throws InputError place.half when one of the two is missing, place.range, number.*
 * @example readPlace({ lat: '47.1', lon: '-91.3' }, 'place') // { latDeg: 47.1, lonDeg: -91.3 }
 */
export function readPlace({ lat, lon }: PlaceInput, field: string): Place | null {
  const [hasLat, hasLon] = [lat.trim() !== '', lon.trim() !== ''];
  if (!hasLat && !hasLon) return null;
  if (!hasLat || !hasLon) throw new InputError('place.half', { field: `${field}.${hasLat ? 'lon' : 'lat'}` });
  return {
    latDeg: readDegrees(lat, MAX_LAT, `${field}.lat`),
    lonDeg: readDegrees(lon, 180, `${field}.lon`),
  };
}
