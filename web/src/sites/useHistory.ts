import { useRef, useState } from 'react';

const MAX = 200;
const ALIKE_MS = 1000;

interface Past<T> {
  readonly before: T[];
  readonly after: T[];
  /** What the last change was about, and when: typing in one field is one step back. */
  readonly last: { readonly about: string; readonly at: number } | null;
}

/** What a change of a part of something is about; one that is a step of its own stays so. */
export const aboutOf = (part: string, about: string): string => (about === '' ? '' : `${part}.${about}`);

/**
 * Steps back and forward through what was typed and dragged. `about` names a field: its quick changes are one
 * step; without a name each change is a step of its own.
 */
export function useHistory<T>(now: T, onChange: (next: T) => void) {
  const past = useRef<Past<T>>({ before: [], after: [], last: null });
  const [can, setCan] = useState({ undo: false, redo: false });
  const remember = (next: Past<T>) => {
    past.current = next;
    setCan({ undo: next.before.length > 0, redo: next.after.length > 0 });
  };
  return {
    can,
    change(next: T, about: string) {
      const { before, last } = past.current;
      const at = Date.now();
      const goesOn = about !== '' && last?.about === about && at - last.at < ALIKE_MS;
      remember({ before: goesOn ? before : [...before, now].slice(-MAX), after: [], last: { about, at } });
      onChange(next);
    },
    undo() {
      const { before, after } = past.current;
      const previous = before.at(-1);
      if (previous === undefined) return;
      remember({ before: before.slice(0, -1), after: [...after, now], last: null });
      onChange(previous);
    },
    redo() {
      const { before, after } = past.current;
      const next = after.at(-1);
      if (next === undefined) return;
      remember({ before: [...before, now], after: after.slice(0, -1), last: null });
      onChange(next);
    },
  };
}
