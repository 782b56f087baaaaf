let holds = true;
const listeners = new Set<() => void>();

/** Notes whether this device could hold what it was given last. */
export function noteHolding(next: boolean): void {
  if (holds === next) return;
  holds = next;
  for (const listener of listeners) listener();
}

/** Whether this device holds what is typed: false where its storage is full or not allowed. */
export const holdingStore = {
  subscribe(listener: () => void) {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
  get: () => holds,
};
