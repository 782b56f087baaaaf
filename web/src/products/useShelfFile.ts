import { useEffect, useMemo, useState } from 'react';
import { say } from '@steady-scatter/words/shelf';
import { startWork, useWork } from '../workers/useWork.ts';
import type { FilePreview, ReadOptions, ShelfFile } from './shelfFile.ts';

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
  readonly preview: FilePreview | null;
  readonly trouble: string | null;
}

const UNKNOWN_TROUBLE = say('shelf.import.unreadable');

const open = () => new Worker(new URL('./shelfFile.worker.ts', import.meta.url), { type: 'module' }); // prettier-ignore

/** Looks through a file in a worker, and puts its good rows on the shelf. */
export function useShelfFile(file: File | null, options: ReadOptions) {
  const key = JSON.stringify(options);
  const asked = useMemo(() => file && { file, options: JSON.parse(key) as ReadOptions }, [file, key]);
  const looked = useWork<ShelfFile, Looked>({ open, key: asked }, async (shelfFile, onShare) => {
    const result = await shelfFile.preview(asked!.file, asked!.options, onShare);
    if ('answer' in result) return { file: asked!.file, preview: result.answer, trouble: null };
    return { file: asked!.file, preview: null, trouble: result.trouble ?? UNKNOWN_TROUBLE };
  });
  const [importing, setImporting] = useState<{ share: number; end(): void } | null>(null);
  const end = importing?.end;
  useEffect(() => () => end?.(), [end]);

  async function keep(): Promise<string[] | null> {
    if (!file) return null;
    const onShare = (share: number) => setImporting((now) => now && { ...now, share });
    const running = startWork<ShelfFile, string[] | null>(
      open,
      async (shelfFile, tell) => {
        const result = await shelfFile.keepGood(file, options, tell);
        return 'answer' in result ? result.answer : null;
      },
      onShare,
    );
    setImporting({ share: 0, end: running.end });
    const ids = await running.done.catch(() => null);
    setImporting(null);
    return ids;
  }

  const { last, isCurrent } = looked;
  const preview = last?.file === file ? last.preview : null;
  const trouble = isCurrent ? (last ? last.trouble : UNKNOWN_TROUBLE) : null;
  const statusNow = (): FileState['status'] => {
    if (!file) return 'none';
    if (importing) return 'keeping';
    if (!isCurrent) return 'reading';
    return trouble ? 'trouble' : 'read';
  };
  const share = importing?.share ?? looked.share ?? 0;
  return {
    state: { status: statusNow(), share, preview, trouble } satisfies FileState,
    /** Puts the good rows on the shelf; their ids, or null when that did not come to its end. */
    keep,
  };
}
