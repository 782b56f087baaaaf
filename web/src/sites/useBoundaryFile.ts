import type { Place } from '@steady-scatter/core/ground';
import { proxy, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { BoundaryAnswer, BoundaryFileWorker } from '../workers/boundaryFile.worker.ts';

interface Asked {
  readonly file: File;
  readonly swapped: boolean;
}

const UNKNOWN = {
  sentence: 'The file could not be read to its end. Export it once more.',
  looksSwapped: false,
};

/** Reads a boundary file in a worker of its own; leaving, or another file, stops it. */
export function useBoundaryFile(asked: Asked | null, place: Place | null) {
  const [answer, setAnswer] = useState<{ asked: Asked; answer: BoundaryAnswer } | null>(null);
  const [share, setShare] = useState(0);
  const [site] = useState(place);
  useEffect(() => {
    if (!asked) return undefined;
    const worker = new Worker(new URL('../workers/boundaryFile.worker.ts', import.meta.url), {
      type: 'module',
    });
    const found = (result: BoundaryAnswer) => setAnswer({ asked, answer: result });
    wrap<BoundaryFileWorker>(worker)
      .preview(asked.file, asked.swapped, site, proxy(setShare))
      .then(found, () => found({ preview: null, trouble: UNKNOWN }))
      .finally(() => worker.terminate());
    return () => worker.terminate();
  }, [asked, site]);
  const current = answer?.asked === asked ? answer?.answer : undefined;
  return { share, isReading: asked !== null && !current, ...(current ?? { preview: null, trouble: null }) };
}
