import { explain } from '../api/explain.ts';
import { createContext, Suspense, use, useMemo, useState, type ReactNode } from 'react';
import { useRest } from '../ui/useFirstThenRest.ts';
import { lazyPart } from '../ui/lazyPart.ts';

const Toasts = lazyPart(() => import('./Toasts.tsx'));

/** One short message; with `undo` it carries its way back. */
export interface Notice {
  readonly id: number;
  readonly text: string;
  readonly undo?: () => void;
}

/** Short messages at the foot of the screen; the one for a delete carries its undo. */
export interface Notices {
  tell(text: string): void;
  /** An undo that fails says so. */
  undoable(text: string, undo: () => unknown): void;
  /** Undoes what was told last with a way back; false: there is none. */
  undoLast(): boolean;
}

const NoticesContext = createContext<Notices | null>(null);

/** @param add shows a message */
function noticesBy(add: (notice: Omit<Notice, 'id'>) => void): Notices {
  let last: (() => void) | null = null;
  const tell = (text: string) => add({ text });
  const run = async (undo: () => unknown) => {
    try {
      await undo();
    } catch (error) {
      tell(explain(error));
    }
  };
  return {
    tell,
    undoable(text, undo) {
      // Pressed there or here, it is undone once.
      let isDone = false;
      const once = () => {
        if (last === once) last = null;
        if (isDone) return;
        isDone = true;
        void run(undo);
      };
      last = once;
      add({ text, undo: once });
    },
    undoLast() {
      const undo = last;
      undo?.();
      return undo !== null;
    },
  };
}

/** Holds the messages. How they are drawn is fetched as soon as the first screen stands, not with the first message: it tells of trouble. */
export function NoticesProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<readonly Notice[]>([]);
  const stands = useRest();
  const notices = useMemo(
    () => noticesBy((notice) => setSaid((all) => [...all, { ...notice, id: all.length }])),
    [],
  );
  return (
    <NoticesContext value={notices}>
      {children}
      {stands && (
        <Suspense fallback={null}>
          <Toasts notices={said} />
        </Suspense>
      )}
    </NoticesContext>
  );
}

/** The notices of the app. */
export function useNotices(): Notices {
  const notices = use(NoticesContext);
  if (!notices) throw new Error('useNotices needs a NoticesProvider above it.');
  return notices;
}
