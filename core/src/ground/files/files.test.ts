import fc from 'fast-check';
import geographiclib from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { toResult } from '../../errors/InputError.ts';
import { localPlane, type Place } from '../geodetic.ts';
import { outlineArea } from '../outline.ts';
import { evaluateSite } from '../site.ts';
import { blankSite } from '../siteInput.ts';
import { originOf, readBoundaryFile, cleanBoundary, writeSite, type BoundaryFile } from './index.ts';

const read = (text: string, swapped = false) => readBoundaryFile(text, swapped, () => undefined);
const refused = (text: string) => toResult(() => read(text)).error;
const surveyAll = ({ traces }: BoundaryFile) => traces.map((trace) => cleanBoundary(trace, originOf(traces)));

/** Area by geodesics on the ellipsoid (Karney 2013), for comparison. */
function geodesicM2(ring: readonly Place[]): number {
  const polygon = geographiclib.Geodesic.WGS84.Polygon(false);
  for (const { latDeg, lonDeg } of ring) polygon.AddPoint(latDeg, lonDeg);
  return Math.abs(polygon.Compute(false, true).area ?? NaN);
}

describe('ellipsoidal areas', () => {
  it('agrees with geodesics but for what straight sides leave beside them, anywhere', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -78, max: 78, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        fc.array(fc.tuple(fc.double({ min: 0.3, max: 1, noNaN: true })), { minLength: 5, maxLength: 9 }),
        (latDeg, lonDeg, radii) => {
          const plane = localPlane({ latDeg, lonDeg });
          const outline = radii.map(([r], index) => {
            const angle = (index / radii.length) * 2 * Math.PI;
            return { x: 500 * r * Math.cos(angle), y: 500 * r * Math.sin(angle) };
          });
          const ring = outline.map((point) => plane.toPlace(point));
          const there = ring.map((place) => plane.toPlane(place));
          there.forEach(({ x, y }, index) =>
            expect(Math.hypot(x - outline[index]!.x, y - outline[index]!.y)).toBeLessThan(1e-6),
          );
          // A geodesic of length L bends away from the straight side by tan(lat) / R: L^3 tan(lat) / 12 R between the two.
          const beside = there.reduce((sum, { x, y }, index) => {
            const next = there[(index + 1) % there.length]!;
            return sum + (Math.hypot(next.x - x, next.y - y) ** 3 * Math.abs(Math.tan((latDeg * Math.PI) / 180))) / (12 * 6.36e6); // prettier-ignore
          }, 0);
          const areaM2 = outlineArea(there);
          expect(Math.abs(geodesicM2(ring) - areaM2)).toBeLessThan(1.1 * beside + 1e-6 * areaM2);
        },
      ),
      { seed: 51, numRuns: 60 },
    );
  });
  it('reaches over the date line', () => {
    const plane = localPlane({ latDeg: -17, lonDeg: 179.999 });
    expect(plane.toPlane({ latDeg: -17, lonDeg: -179.999 }).x).toBeCloseTo(212.96, 1);
  });
});

// A square of 0.001 degrees with a hole of 0.0002, as different writers put it.
const EDGE = [[-91.2, 47.1], [-91.199, 47.1], [-91.199, 47.101], [-91.2, 47.101], [-91.2, 47.1]]; // prettier-ignore
const HOLE = [[-91.1996, 47.1004], [-91.1994, 47.1004], [-91.1994, 47.1006], [-91.1996, 47.1006], [-91.1996, 47.1004]]; // prettier-ignore
const toRing = (ring: number[][]) => ring.slice(0, -1).map(([lonDeg, latDeg]) => ({ latDeg: latDeg!, lonDeg: lonDeg! })); // prettier-ignore
const WHOLE = geodesicM2(toRing(EDGE));
const LEFT = WHOLE - geodesicM2(toRing(HOLE));
const words = (ring: number[][], sep: string, more = '') => ring.map((p) => p.join(sep) + more).join(' ');
const geo = (geometry: unknown, properties: unknown = {}) => JSON.stringify({ type: 'Feature', properties, geometry }); // prettier-ignore
const track = (ring: number[][], tag = 'trkpt') => ring.map(([lon, lat]) => `<${tag} lat="${lat}" lon="${lon}"><ele>188.2</ele><time>2026-05-04T08:00:00Z</time></${tag}>`).join('\n'); // prettier-ignore

describe('dialects', () => {
  const cases: [string, string, string, number, string][] = [
    ['GeoJSON: a bare polygon with heights, not closed, after a byte order mark', `\ufeff${JSON.stringify({ type: 'Polygon', coordinates: [EDGE.slice(0, -1).map((p) => p.concat(188.4))] })}`, 'GeoJSON', WHOLE, ''],
    ['GeoJSON: a collection of the older kind with its system named, clockwise, with a hole', JSON.stringify({ type: 'FeatureCollection', crs: { type: 'name', properties: { name: 'urn:ogc:def:crs:OGC:1.3:CRS84' } }, features: [{ type: 'Feature', properties: { Name: 'Pitch', id: 7 }, geometry: { type: 'Polygon', coordinates: [EDGE.toReversed(), HOLE] } }] }), 'GeoJSON', LEFT, 'Pitch'],
    ['GeoJSON: a multipolygon in a collection of geometries, beside a point', geo({ type: 'GeometryCollection', geometries: [{ type: 'Point', coordinates: [1, 2] }, { type: 'MultiPolygon', coordinates: [[EDGE, HOLE]] }] }, { title: 'Pitch' }), 'GeoJSON', LEFT, 'Pitch'],
    ['GeoJSON: a walked line', geo({ type: 'LineString', coordinates: EDGE }, null), 'GeoJSON', WHOLE, ''],
    ['KML: nested folders, heights, a hole, character data', `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><name>All</name><Folder><name>Lake</name><Placemark><name><![CDATA[Pitch & bank]]></name><Polygon><outerBoundaryIs><LinearRing><coordinates>\n${words(EDGE, ',', ',0')}\n</coordinates></LinearRing></outerBoundaryIs><innerBoundaryIs><LinearRing><coordinates>${words(HOLE, ',')}</coordinates></LinearRing></innerBoundaryIs></Polygon></Placemark></Folder></Document></kml>`, 'KML', LEFT, 'Pitch & bank'],
    ['KML: prefixed names and spaces after the commas', `<k:kml xmlns:k="http://www.opengis.net/kml/2.2"><k:Placemark><k:name>Pitch</k:name><k:MultiGeometry><k:Polygon><k:outerBoundaryIs><k:LinearRing><k:coordinates>${words(EDGE, ', ')}</k:coordinates></k:LinearRing></k:outerBoundaryIs></k:Polygon></k:MultiGeometry></k:Placemark></k:kml>`, 'KML', WHOLE, 'Pitch'],
    ['KML: a recorded track, numbers apart by spaces', `<kml xmlns:gx="http://www.google.com/kml/ext/2.2"><Placemark><name>Walk</name><gx:Track>${EDGE.map(([lon, lat]) => `<when>2026-05-04T08:00:00Z</when><gx:coord>${lon} ${lat} 188</gx:coord>`).join('')}</gx:Track></Placemark></kml>`, 'KML', WHOLE, 'Walk'],
    ['GPX 1.1: a track in two segments with names on its points', `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><metadata><name>File</name></metadata><trk><name>North loop</name><trkseg>${track(EDGE.slice(0, 2))}</trkseg><trkseg>${track(EDGE.slice(2))}</trkseg></trk></gpx>`, 'GPX', WHOLE, 'North loop'],
    ['GPX 1.0: a route, with comments, attributes apart by lines', `<!-- logger --><gpx version="1.0"\n xmlns="http://www.topografix.com/GPX/1/0">\n<rte>\n<name>Bank</name>\n${track(EDGE, 'rtept').replaceAll(' lon', '\n  lon')}</rte></gpx>`, 'GPX', WHOLE, 'Bank'],
    ['GPX: waypoints alone', `<gpx version="1.1">${track(EDGE.slice(0, -1), 'wpt')}</gpx>`, 'GPX', WHOLE, ''],
    ['CSV: headers with units, an area column, semicolons and decimal commas', `Area;Latitude (deg);Longitude (deg)\n${EDGE.map(([lon, lat]) => `Pitch;${lat};${lon}`.replaceAll('.', ',')).join('\r\n')}`, 'CSV of points', WHOLE, 'Pitch'],
    ['CSV: lon before lat, an empty line at the end', `id,lon,lat\n${EDGE.map((p, index) => `${index},${p.join(',')}`).join('\n')}\n\n`, 'CSV of points', WHOLE, ''],
  ]; // prettier-ignore
  it.each(cases)('%s', (_, text, format, areaM2, name) => {
    const file = read(text);
    expect(file.format).toBe(format);
    const [surveyed] = surveyAll(file);
    expect(surveyed!.name).toBe(name);
    expect(Math.abs(surveyed!.areaM2 / areaM2 - 1)).toBeLessThan(1e-5);
    expect(surveyed!.gapM).toBeLessThan(120);
  });
  it('keeps points in metres as they are', () => {
    const [surveyed] = surveyAll(read('x,y\n0,0\n20,0\n20,10\n0,10'));
    expect(surveyed!.areaM2).toBeCloseTo(200, 9);
  });
  it('keeps several areas of one file apart', () => {
    const file = read('name,x,y\nA,0,0\nA,4,0\nA,4,4\nB,0,0\nB,2,0\nB,2,2');
    expect(surveyAll(file).map((each) => [each!.name, each!.areaM2])).toEqual([['A', 8], ['B', 2]]); // prettier-ignore
  });
});

describe('what is wrong with a file is said with its place', () => {
  const bad: [string, string, string, RegExp][] = [
    ['nothing', '  \n ', 'file.empty', /empty/],
    ['a picture', '\u0089PNG\r\n\u001a\n\u0000\u0000', 'file.unknown', /GeoJSON, KML, GPX/],
    ['a web page', '<html><body>no</body></html>', 'file.unknown', /GeoJSON, KML, GPX/],
    ['a zipped file', 'PK\u0003\u0004abc', 'file.zipped', /Unpack/],
    ['JSON that breaks off', '{"type":"FeatureCollection",\n"features":[{"type":', 'file.broken', /at (its end|line 2)/],
    ['a feature without its numbers', geo({ type: 'Polygon', coordinates: [[[1, 2], ['a', 3]]] }), 'file.broken', /point 2/],
    ['a kind of shape that does not exist', geo({ type: 'Blob', coordinates: [] }), 'file.broken', /"Blob"/],
    ['metres of another system', JSON.stringify({ type: 'FeatureCollection', crs: { properties: { name: 'EPSG:3857' } }, features: [] }), 'file.other-system', /EPSG:3857/],
    ['XML that breaks off', `<gpx><trk>\n<trkseg>${track(EDGE)}`, 'file.broken', /line \d+/],
    ['a tag that closes another', '<kml>\n<Placemark>\n</Folder></kml>', 'file.broken', /line 3/],
    ['entities that grow', '<?xml version="1.0"?>\n<!DOCTYPE kml [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;">]>\n<kml><name>&b;</name></kml>', 'file.declares', /line \d/],
    ['an entity nobody declared', '<gpx><name>&boom;</name></gpx>', 'file.declares', /line 1/],
    ['coordinates the wrong way round', `<kml><Placemark><LineString><coordinates>${EDGE.map(([lon, lat]) => `${lat},${lon}`).join('\n')}</coordinates></LineString></Placemark></kml>`, 'file.range', /swapped/],
    ['metres where degrees belong', 'lat,lon\n5216000,484000\n5216100,484000\n5216100,484100', 'file.range', /national grid/],
    ['a number that is none', 'lat,lon\n47.1,-91.2\n47.1,none\n47.2,-91.1', 'file.number', /line 3.*none/],
    ['a track point without its latitude', '<gpx><trk><trkseg>\n<trkpt lon="3"/></trkseg></trk></gpx>', 'file.number', /line 2/],
    ['columns that say nothing', 'a,b\n1,2', 'file.columns', /lat and lon/],
    ['two points', 'lat,lon\n47.1,-91.2\n47.2,-91.2', 'file.no-ground', /at least three/],
  ]; // prettier-ignore
  it.each(bad)('%s', (_, text, code, sentence) => {
    const error = refused(text);
    expect(error?.code).toBe(code);
    expect(speak(error!.sentence)).toMatch(sentence);
  });
  it('reads swapped coordinates when told so', () => {
    const text = `lat,lon\n${EDGE.map((p) => p.join(',')).join('\n')}`;
    expect(refused(text)?.code).toBe('file.range');
    expect(Math.abs(surveyAll(read(text, true))[0]!.areaM2 / WHOLE - 1)).toBeLessThan(1e-5);
  });
});

describe('a walked edge', () => {
  /** A walk round 60 x 40 m with a point each metre that jitters, overrunning its beginning by 5 m. */
  function walk(seed: number, jitterM: number): string {
    let state = seed;
    const random = () => (state = (state * 16807) % 2147483647) / 2147483647;
    const normal = () => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    const corners = [[0, 0], [60, 0], [60, 40], [0, 40], [0, 0], [5, 0]]; // prettier-ignore
    const points = corners.slice(1).flatMap(([x1, y1], index) => {
      const [x0, y0] = corners[index] as [number, number];
      const steps = Math.round(Math.hypot(x1! - x0, y1! - y0));
      return Array.from({ length: steps }, (__, i) => [
        x0 + ((x1! - x0) * i) / steps + jitterM * normal(),
        y0 + ((y1! - y0) * i) / steps + jitterM * normal(),
      ]);
    });
    return `x,y\n${points.map((p) => p.join(',')).join('\n')}`;
  }
  it('is closed, simplified and untangled, its jitter told, its area kept', () => {
    const [found] = surveyAll(read(walk(7, 0.25)));
    expect(found!.jitterM).toBeGreaterThan(0.15);
    expect(found!.jitterM).toBeLessThan(0.35);
    expect(found!.corners).toBeLessThan(found!.points / 2);
    expect(Math.abs(found!.areaM2 / 2400 - 1)).toBeLessThan(0.01);
    expect(found!.isOpen).toBe(false);
  });
  it('that does not come back is told', () => {
    expect(surveyAll(read('x,y\n0,0\n50,0\n50,50\n40,80'))[0]).toMatchObject({ isOpen: true });
  });
});

it('a site written in each format reads back to the same ground', () => {
  const [trace] = read(geo({ type: 'Polygon', coordinates: [EDGE, HOLE] })).traces;
  const place = originOf([trace!])!;
  const { pieces, areaM2 } = cleanBoundary(trace!, place)!;
  const outlines = pieces[0]!.map((outline) => outline.map(({ x, y }) => [x, y] as const));
  const part = { id: 'p', kind: 'boundary', cut: false, outlines, from: 'a file', off: '', unit: 'm', at: { x: 0, y: 0, turn: 0 } } as const; // prettier-ignore
  const blank = blankSite('a', 'metric');
  const site = { ...blank, name: 'Lake', place: { lat: String(place.latDeg), lon: String(place.lonDeg) }, areas: [{ ...blank.areas[0]!, name: 'Pitch, <north>', parts: [part] }] }; // prettier-ignore
  const reading = evaluateSite(site);
  expect(reading.errors).toEqual([]);
  const back = (format: Parameters<typeof writeSite>[3]) => {
    const file = read(writeSite(site, reading, reading.place!, format));
    return file.traces.map((each) => cleanBoundary(each, place)!);
  };
  for (const format of ['geojson', 'kml'] as const) {
    expect(back(format)[0]).toMatchObject({ name: 'Pitch, <north>' });
    expect(Math.abs(back(format)[0]!.areaM2 / areaM2 - 1)).toBeLessThan(1e-5);
  }
  for (const format of ['gpx', 'csv'] as const) {
    const [edge, hole] = back(format);
    expect(Math.abs((edge!.areaM2 - hole!.areaM2) / areaM2 - 1)).toBeLessThan(1e-5);
  }
});
