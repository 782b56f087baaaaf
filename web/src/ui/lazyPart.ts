import { lazy, type ComponentType } from 'react';

const loads = new Set<() => Promise<unknown>>();

/** A part of the app that is loaded when it is first shown, or when nothing else is going on. */
// oxlint-disable-next-line typescript/no-explicit-any -- as React's own: whatever it is given, it is given on
export function lazyPart<Part extends ComponentType<any>>(load: () => Promise<{ default: Part }>) {
  loads.add(load);
  return lazy(load);
}

/** Loads every part, and the parts of those: a page that is open needs the network for none of them then. */
export async function loadAllParts(): Promise<void> {
  const done = new Set<() => Promise<unknown>>();
  for (;;) {
    const next = [...loads].find((load) => !done.has(load));
    if (!next) return;
    done.add(next);
    // oxlint-disable-next-line no-await-in-loop -- one after the other, so that what is asked for meanwhile comes first
    await next().catch(() => undefined);
  }
}
