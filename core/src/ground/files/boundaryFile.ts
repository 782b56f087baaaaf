import { InputError } from '../../errors/InputError.ts';
import { readGeoJson } from './geoJson.ts';
import { readGpx } from './gpx.ts';
import { readKml } from './kml.ts';
import { readPoints } from './points.ts';
import { readContext, type ReadContext, type BoundaryLine } from './boundaryLine.ts';

const READERS = {
  GeoJSON: readGeoJson,
  KML: readKml,
  GPX: readGpx,
  'CSV of points': readPoints,
} as const satisfies Record<string, (text: string, context: ReadContext) => BoundaryLine[]>;
export type BoundaryFormat = keyof typeof READERS;

/** What a boundary file holds. */
export interface BoundaryFile {
  readonly format: BoundaryFormat;
  readonly traces: readonly BoundaryLine[];
}

/** Largest file that is read, bytes: a track of half a million points fits. */
const MAX_BYTES = 40_000_000;

/** Refuses a file that is too large to be a boundary, before any of it is read. */
export function checkFileSize(bytes: number): void {
  const megabytes = (count: number) => `${Math.round(count / 1e6)} MB`;
  if (bytes > MAX_BYTES)
    throw new InputError('file.too-large', { field: 'file', size: megabytes(bytes), most: megabytes(MAX_BYTES) }); // prettier-ignore
}

/** What the file is, by what it says itself; its name may be anything. */
function formatOf(text: string): BoundaryFormat {
  const start = text.slice(0, 4000).trimStart();
  if (start === '') throw new InputError('file.empty', { field: 'file' });
  if (start.startsWith('PK\u0003\u0004')) throw new InputError('file.zipped', { field: 'file' });
  if (/^[{[]/.test(start)) return 'GeoJSON';
  if (start.startsWith('<')) {
    if (/<(?:\w+:)?kml[\s>]/i.test(start)) return 'KML';
    if (/<(?:\w+:)?gpx[\s>]/i.test(start)) return 'GPX';
    if (/<!(?:DOCTYPE|ENTITY)/i.test(start)) return 'KML';
    throw new InputError('file.unknown', { field: 'file' });
  }
  // Control characters stand in no text that somebody exported.
  // oxlint-disable-next-line no-control-regex
  if (/[\u0000-\u0008\u000e-\u001f]/.test(start) || !/[,;\t]/.test(start.split('\n')[0] ?? ''))
    throw new InputError('file.unknown', { field: 'file' });
  return 'CSV of points';
}

/**
 * Reads a boundary file, whichever of the known formats it is: all of it, or nothing.
 *
 * @param text the whole file
 * @param swapped latitude and longitude stand the wrong way round in it
 * @param onShare told now and then how much is read, 0 to 1
 * @throws InputError file.*, each with the place in the file
 * @example readBoundaryFile('lat,lon\n47.1,-91.2\n47.2,-91.2\n47.2,-91.1', false, () => {}).format // 'CSV of points'
 */
export function readBoundaryFile(
  text: string,
  swapped: boolean,
  onShare: (share: number) => void,
): BoundaryFile {
  const plain = text.replace(/^\ufeff/, '');
  const format = formatOf(plain);
  const traces = READERS[format](plain, readContext(swapped, onShare));
  const whole = traces.filter(({ rings }) => (rings[0]?.length ?? 0) >= 3);
  if (whole.length === 0) throw new InputError('file.no-ground', { field: 'file' });
  return { format, traces: whole };
}
