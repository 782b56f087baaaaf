import { message, type Message } from '../../messages/message.ts';
import { InputError } from '../../errors/InputError.ts';
import type { Place } from '../geodetic.ts';
import type { ReadContext, BoundaryLine } from './boundaryLine.ts';

type Loose = Readonly<Record<string, unknown>>;
const isLoose = (value: unknown): value is Loose => typeof value === 'object' && value !== null;

/** Where in the text the parser stopped. */
function placeOf(text: string, problem: string): Message {
  const at = /position (\d+)/.exec(problem)?.[1];
  if (at === undefined) return message('errors.place.end');
  return message('errors.place.line', { line: text.slice(0, Number(at)).split('\n').length });
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    const problem = error instanceof Error ? error.message : '';
    throw new InputError('file.broken', { field: 'file', place: placeOf(text, problem), why: message('errors.why.notJson') }); // prettier-ignore
  }
}

const NAMES = ['name', 'Name', 'NAME', 'title', 'label', 'id'];
const WGS_84 = /CRS84|EPSG:+4326|WGS ?84/i;

/** Older files may name their system; anything but WGS 84 is refused, since degrees would be read out of metres. */
function checkSystem({ crs }: Loose): void {
  const name = isLoose(crs) && isLoose(crs['properties']) ? crs['properties']['name'] : undefined;
  if (typeof name === 'string' && !WGS_84.test(name))
    throw new InputError('file.other-system', { field: 'file', input: name });
}

function nameOf(properties: unknown): string {
  if (!isLoose(properties)) return '';
  const found = NAMES.map((key) => properties[key]).find(
    (value) => typeof value === 'string' || typeof value === 'number',
  );
  return found === undefined ? '' : String(found).trim();
}

const pointOf = (where: Message, at: number): Message =>
  message('errors.place.point', { where, number: at + 1 });

/** Areas and lines in a GeoJSON file (RFC 7946 and its forerunner): a collection, a feature, or a bare geometry. */
export function readGeoJson(text: string, context: ReadContext): BoundaryLine[] {
  const root = parse(text);
  context.onShare(0.5);
  const broken = (where: Message, why: Message) =>
    new InputError('file.broken', { field: 'file', place: where, why });
  const traces: BoundaryLine[] = [];
  const line = (value: unknown, where: Message): Place[] => {
    if (!Array.isArray(value)) throw broken(where, message('errors.why.noPoints'));
    return value.map((pair: unknown, index) => {
      const [lon, lat] = Array.isArray(pair) ? (pair as unknown[]) : [];
      if (typeof lon === 'number' && typeof lat === 'number')
        return context.place(lat, lon, () => pointOf(where, index));
      throw broken(pointOf(where, index), message('errors.why.noNumbers'));
    });
  };
  const lists = (value: unknown, where: Message): unknown[] => {
    if (Array.isArray(value)) return value as unknown[];
    throw broken(where, message('errors.why.noCoordinates'));
  };
  const take = (value: unknown, name: string, where: Message): void => {
    if (!isLoose(value)) throw broken(where, message('errors.why.nothing'));
    const { type, coordinates } = value;
    const add = (kind: BoundaryLine['kind'], rings: Place[][]) => traces.push({ name, kind, rings });
    const polygon = (rings: unknown) =>
      add('area', lists(rings, where).map((ring) => line(ring, where))); // prettier-ignore
    if (type === 'FeatureCollection') {
      const features = lists(value['features'], where);
      features.forEach((feature, index) => {
        take(feature, '', message('errors.place.feature', { number: index + 1 }));
        context.onShare(0.5 + (0.5 * (index + 1)) / features.length);
      });
    } else if (type === 'Feature') {
      if (value['geometry'] !== null) take(value['geometry'], nameOf(value['properties']), where);
    } else if (type === 'GeometryCollection') {
      for (const geometry of lists(value['geometries'], where)) take(geometry, name, where);
    } else if (type === 'Polygon') polygon(coordinates);
    else if (type === 'MultiPolygon') for (const rings of lists(coordinates, where)) polygon(rings);
    else if (type === 'LineString') add('walk', [line(coordinates, where)]);
    else if (type === 'MultiLineString')
      for (const path of lists(coordinates, where)) add('walk', [line(path, where)]);
    else if (type !== 'Point' && type !== 'MultiPoint')
      throw broken(where, message('errors.why.noShape', { type: JSON.stringify(type) ?? '–' }));
  };
  if (isLoose(root)) checkSystem(root);
  take(root, '', message('errors.place.start'));
  context.onShare(1);
  return traces;
}
