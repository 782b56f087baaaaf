import { toResult, InputError } from '@steady-scatter/core/errors';
import {
  checkFileSize,
  originOf,
  readBoundaryFile,
  cleanBoundary,
  type BoundaryFormat,
  type Place,
  type Surveyed,
} from '@steady-scatter/core/ground';
import { expose } from 'comlink';
import { speak } from '@steady-scatter/words/common';
import type { Fact } from '@steady-scatter/core/messages';

/** What a boundary file holds, before anything of it is taken. */
export interface BoundaryPreview {
  readonly format: BoundaryFormat;
  /** Where the drawing's zero lies; null for points in metres. */
  readonly place: Place | null;
  readonly found: readonly Surveyed[];
}

/** A preview, or why the file is not read; `swapped` when latitude and longitude look exchanged. */
export type BoundaryAnswer =
  | { readonly preview: BoundaryPreview; readonly trouble: null }
  | {
      readonly preview: null;
      readonly trouble: { readonly sentence: string; readonly looksSwapped: boolean };
    };

/** Share of the work that is reading; the rest is surveying. */
const READING = 0.7;

function read(
  text: string,
  swapped: boolean,
  site: Place | null,
  onShare: (share: number) => void,
): BoundaryPreview {
  const { format, traces } = readBoundaryFile(text, swapped, (share) => onShare(share * READING));
  const place = originOf(traces) === null ? null : (site ?? originOf(traces));
  const found = traces.flatMap((trace, index) => {
    onShare(READING + ((1 - READING) * index) / traces.length);
    const surveyed = cleanBoundary(trace, place);
    return surveyed ? [surveyed] : [];
  });
  if (found.length === 0) throw new InputError('file.no-ground', { field: 'file' });
  return { format, place, found };
}

const isSwapped = (advice: Fact | undefined): boolean =>
  typeof advice === 'object' && 'id' in advice && advice.id === 'errors.swapped';

const boundaryFile = {
  async preview(
    file: Blob,
    swapped: boolean,
    site: Place | null,
    onShare: (share: number) => void,
  ): Promise<BoundaryAnswer> {
    const refused = toResult(() => checkFileSize(file.size)).error;
    const text = refused ? '' : await file.text();
    const { value, error } = toResult(() => {
      if (refused) throw refused;
      return read(text, swapped, site, onShare);
    });
    if (value) return { preview: value, trouble: null };
    const looksSwapped = error.code === 'file.range' && isSwapped(error.facts['advice']);
    return { preview: null, trouble: { sentence: speak(error.sentence), looksSwapped } };
  },
};

export type BoundaryFileWorker = typeof boundaryFile;
expose(boundaryFile);
