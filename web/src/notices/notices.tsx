import { explain } from '../api/explain.ts';
import { createContext, use, useMemo, useState, type ReactNode } from 'react';

import { Toasts } from './Toasts.tsx';

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
}

const NoticesContext = createContext<Notices | null>(null);

/** Holds the messages. How they are drawn is there from the start: it is what tells of trouble. */
export function NoticesProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<readonly Notice[]>([]);
  const notices = useMemo<Notices>(() => {
    const add = (notice: Omit<Notice, 'id'>) => setSaid((all) => [...all, { ...notice, id: all.length }]);
    const tell = (text: string) => add({ text });
    const run = async (undo: () => unknown) => {
      try {
        await undo();
      } catch (error) {
        tell(explain(error));
      }
    };
    return { tell, undoable: (text, undo) => add({ text, undo: () => void run(undo) }) };
  }, []);
  return (
    <NoticesContext value={notices}>
      {children}
      <Toasts notices={said} />
    </NoticesContext>
  );
}

/** The notices of the app. */
export function useNotices(): Notices {
  const notices = use(NoticesContext);
  if (!notices) throw new Error('useNotices needs a NoticesProvider above it.');
  return notices;
}
