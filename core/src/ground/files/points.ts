import { message, type Message } from '../../messages/message.ts';
import Papa from 'papaparse';
import { InputError } from '../../errors/InputError.ts';
import type { Place } from '../geodetic.ts';
import type { Point } from '../outline.ts';
import type { ReadContext, BoundaryLine } from './boundaryLine.ts';

const COLUMNS = {
  lat: ['lat', 'latitude', 'lat_deg'],
  lon: ['lon', 'lng', 'long', 'longitude', 'lon_deg'],
  x: ['x', 'east', 'easting', 'e'],
  y: ['y', 'north', 'northing', 'n'],
  area: ['area', 'name', 'polygon', 'field', 'plot'],
} as const;
type Column = keyof typeof COLUMNS;

/** "Latitude (deg)" -> "latitude" */
const spelled = (header: string): string =>
  header
    .replace(/[([].*$/, '')
    .trim()
    .toLowerCase();

const lineOf = (at: number): Message => message('errors.place.line', { line: at + 1 });

/**
 * Points of a CSV file in their order round the ground: columns lat and lon in degrees, or x and y in metres; a column "area"
 * or "name" keeps several areas apart.
 */
export function readPoints(text: string, context: ReadContext): BoundaryLine[] {
  const { data, meta } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const header = (data[0] ?? []).map(spelled);
  const columnOf = (column: Column) =>
    header.findIndex((name) => (COLUMNS[column] as readonly string[]).includes(name));
  const [lat, lon, x, y, area] = (['lat', 'lon', 'x', 'y', 'area'] as const).map(columnOf) as [number, number, number, number, number]; // prettier-ignore
  const onEarth = lat >= 0 && lon >= 0;
  if (!onEarth && !(x >= 0 && y >= 0))
    throw new InputError('file.columns', { field: 'file', input: (data[0] ?? []).join(', ') });
  const number = (row: readonly string[], column: number, at: number): number => {
    const cell = (row[column] ?? '').trim();
    const value = Number(meta.delimiter === ';' ? cell.replace(',', '.') : cell);
    if (cell !== '' && Number.isFinite(value)) return value;
    throw new InputError('file.number', { field: 'file', place: lineOf(at), input: cell });
  };
  const places = new Map<string, Place[]>();
  const points = new Map<string, Point[]>();
  const into = <T>(map: Map<string, T[]>, name: string, value: T) => {
    const list = map.get(name);
    if (list) list.push(value);
    else map.set(name, [value]);
  };
  for (const [index, row] of data.slice(1).entries()) {
    const at = index + 1;
    const name = area >= 0 ? (row[area] ?? '').trim() : '';
    if (onEarth)
      into(
        places,
        name,
        context.place(number(row, lat, at), number(row, lon, at), () => lineOf(at)),
      );
    else {
      context.count();
      into(points, name, { x: number(row, x, at), y: number(row, y, at) });
    }
    if (at % 10_000 === 0) context.onShare(at / data.length);
  }
  context.onShare(1);
  return [
    ...[...places].map(([name, ring]): BoundaryLine => ({ name, kind: 'walk', rings: [ring] })),
    ...[...points].map(([name, ring]): BoundaryLine => ({ name, kind: 'walk', rings: [ring] })),
  ];
}
