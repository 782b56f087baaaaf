import { InputError } from '../../errors/InputError.ts';
import type { Place } from '../geodetic.ts';
import type { ReadContext, BoundaryLine } from './boundaryLine.ts';
import { readXml } from './xml.ts';

const LINES: Readonly<Record<string, string>> = { trk: 'trkpt', rte: 'rtept' };

/**
 * Walked edges in a GPX file (1.0 or 1.1): each track with all its segments, each route; waypoints in their order where there
 * is nothing else.
 */
export function readGpx(text: string, context: ReadContext): BoundaryLine[] {
  const traces: BoundaryLine[] = [];
  const waypoints: Place[] = [];
  let line: { name: string; points: Place[]; tag: string } | null = null;
  let depth = 0;
  readXml(text, context.onShare, (where) => ({
    open(name, attribute) {
      depth += 1;
      if (name in LINES) line = { name: '', points: [], tag: name };
      const isPoint = name === 'wpt' || (line && name === LINES[line.tag]);
      if (!isPoint) return;
      const [lat, lon] = ['lat', 'lon'].map((wanted) => {
        const value = attribute(wanted)?.trim();
        if (value !== undefined && value !== '' && Number.isFinite(Number(value))) return Number(value);
        throw new InputError('file.number', {
          field: 'file',
          place: where(),
          input: `${wanted}="${value ?? ''}"`,
        });
      }) as [number, number];
      const place = context.place(lat, lon, where);
      if (name === 'wpt') waypoints.push(place);
      else line!.points.push(place);
    },
    close(name, content) {
      depth -= 1;
      // A name two levels down is the track's own; deeper ones belong to its points.
      if (name === 'name' && line && depth === 2) line.name = content.trim();
      if (!line || name !== line.tag) return;
      if (line.points.length > 0) traces.push({ name: line.name, kind: 'walk', rings: [line.points] });
      line = null;
    },
  }));
  return traces.length > 0 || waypoints.length < 3
    ? traces
    : [{ name: '', kind: 'walk', rings: [waypoints] }];
}
