import type { Place } from '@steady-scatter/core/ground';
import { useState } from 'react';
import { say } from '@steady-scatter/words/sites';
import type { BoundaryAnswer, BoundaryFileWorker } from '../workers/boundaryFile.worker.ts';
import { useWork } from '../workers/useWork.ts';

interface Asked {
  readonly file: File;
  readonly swapped: boolean;
}

const UNKNOWN = {
  sentence: say('sites.file.unreadable'),
  looksSwapped: false,
};

const open = () => new Worker(new URL('../workers/boundaryFile.worker.ts', import.meta.url), { type: 'module' }); // prettier-ignore

/** Reads a boundary file in a worker of its own; leaving, or another file, stops it. */
export function useBoundaryFile(asked: Asked | null, place: Place | null) {
  const [site] = useState(place);
  const { last, isCurrent, share } = useWork<BoundaryFileWorker, BoundaryAnswer>(
    { open, key: asked },
    (worker, onShare) => worker.preview(asked!.file, asked!.swapped, site, onShare),
  );
  const answer: BoundaryAnswer = last ?? { preview: null, trouble: UNKNOWN };
  return {
    share: share ?? 0,
    isReading: asked !== null && !isCurrent,
    ...(isCurrent ? answer : { preview: null, trouble: null }),
  };
}
