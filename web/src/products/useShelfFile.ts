import { proxy, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { FilePreview, ReadOptions, ShelfFile } from '../workers/shelfFile.worker.ts';

/** How reading or importing a file stands; `share` goes from 0 to 1, and the last preview stays meanwhile. */
export interface FileState {
  readonly status: 'none' | 'reading' | 'read' | 'keeping' | 'trouble';
  readonly share: number;
  readonly preview: FilePreview | null;
  readonly trouble: string | null;
}

/** What the last look through a file came to. */
interface Looked {
  readonly file: File;
  readonly key: string;
  readonly preview: FilePreview | null;
  readonly trouble: string | null;
}

const UNKNOWN_TROUBLE = 'The file could not be read to its end. Save it as CSV once more, and take that.';

/** One piece of work on a file, in a worker of its own; `end` stops it at any time. */
function work(run: (shelfFile: ReturnType<typeof wrap<ShelfFile>>) => Promise<unknown>) {
  const worker = new Worker(new URL('../workers/shelfFile.worker.ts', import.meta.url), { type: 'module' });
  const done = run(wrap<ShelfFile>(worker)).finally(() => worker.terminate());
  return { done, end: () => worker.terminate() };
}

/** Looks through a file in a worker, and puts its good rows on the shelf. */
export function useShelfFile(file: File | null, options: ReadOptions) {
  const [looked, setLooked] = useState<Looked | null>(null);
  const [share, setShare] = useState(0);
  const [keeping, setKeeping] = useState<{ end(): void } | null>(null);
  const key = JSON.stringify(options);

  useEffect(() => {
    if (!file) return undefined;
    const asked = JSON.parse(key) as ReadOptions;
    const found = (preview: FilePreview | null, trouble: string | null) =>
      setLooked({ file, key, preview, trouble });
    const { done, end } = work(async (shelfFile) => {
      const result = await shelfFile.preview(file, asked, proxy(setShare));
      if ('answer' in result) found(result.answer, null);
      else found(null, result.trouble ?? UNKNOWN_TROUBLE);
    });
    done.catch(() => found(null, UNKNOWN_TROUBLE));
    return end;
  }, [file, key]);

  useEffect(() => () => keeping?.end(), [keeping]);

  async function keep(): Promise<string[] | null> {
    if (!file) return null;
    let ids: string[] | null = null;
    setShare(0);
    const { done, end } = work(async (shelfFile) => {
      const result = await shelfFile.keepGood(file, options, proxy(setShare));
      ids = 'answer' in result ? result.answer : null;
    });
    setKeeping({ end });
    await done.catch(() => undefined);
    setKeeping(null);
    return ids;
  }

  const isCurrent = looked !== null && looked.file === file && looked.key === key;
  const status = !file
    ? 'none'
    : keeping
      ? 'keeping'
      : !isCurrent
        ? 'reading'
        : looked.trouble
          ? 'trouble'
          : 'read';
  const state: FileState = {
    status,
    share,
    preview: looked?.file === file ? looked.preview : null,
    trouble: isCurrent ? looked.trouble : null,
  };
  return {
    state,
    /** Puts the good rows on the shelf; their ids, or null when that did not come to its end. */
    keep,
  };
}
