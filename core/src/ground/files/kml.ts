import { InputError } from '../../errors/InputError.ts';
import type { Place } from '../geodetic.ts';
import type { ReadContext, BoundaryLine } from './boundaryLine.ts';
import { readXml } from './xml.ts';

/**
 * Areas and lines in a KML file: polygons with their holes, lines and recorded tracks, whatever they are nested in. Numbers
 * come as "lon,lat" or "lon,lat,height", some writers put spaces after the commas; in recorded tracks "lon lat height".
 */
export function readKml(text: string, context: ReadContext): BoundaryLine[] {
  const traces: BoundaryLine[] = [];
  let placemark: { name: string; traces: { kind: BoundaryLine['kind']; rings: Place[][] }[] } | null = null;
  let rings: { outer: Place[][]; inner: Place[][] } | null = null;
  let track: Place[] | null = null;
  let inner = false;
  readXml(text, context.onShare, (where) => {
    const tuple = (numbers: string[]): Place => {
      const [lon, lat] = numbers.map((number) => (number === '' ? NaN : Number(number)));
      if (lon === undefined || lat === undefined || !Number.isFinite(lon) || !Number.isFinite(lat))
        throw new InputError('file.number', { field: 'file', place: where(), input: numbers.join(',') });
      return context.place(lat, lon, where);
    };
    const tuples = (content: string): Place[] =>
      content
        .replace(/\s*,\s*/g, ',')
        .trim()
        .split(/\s+/)
        .filter((word) => word !== '')
        .map((word) => tuple(word.split(',')));
    return {
      open(name) {
        if (name === 'Placemark') placemark = { name: '', traces: [] };
        if (name === 'Polygon') rings = { outer: [], inner: [] };
        if (name === 'innerBoundaryIs') inner = true;
        if (name === 'Track') track = [];
      },
      close(name, content) {
        if (name === 'innerBoundaryIs') inner = false;
        if (name === 'name' && placemark?.name === '') placemark.name = content.trim();
        if (name === 'coord' && track) track.push(tuple(content.trim().split(/\s+/)));
        if (name === 'coordinates') {
          const line = tuples(content);
          if (rings) rings[inner ? 'inner' : 'outer'].push(line);
          else if (line.length > 1) placemark?.traces.push({ kind: 'walk', rings: [line] });
        }
        if (name === 'Track' && track) {
          placemark?.traces.push({ kind: 'walk', rings: [track] });
          track = null;
        }
        if (name === 'Polygon' && rings) {
          if (rings.outer[0])
            placemark?.traces.push({ kind: 'area', rings: [rings.outer[0], ...rings.inner] });
          rings = null;
        }
        if (name === 'Placemark' && placemark) {
          for (const trace of placemark.traces) traces.push({ name: placemark.name, ...trace });
          placemark = null;
        }
      },
    };
  });
  return traces;
}
