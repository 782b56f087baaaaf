/** Tells the other tabs of this browser something, and hears what they tell. */
export interface Tabs<Message> {
  tell(message: Message): void;
  hear(listener: (message: Message) => void): () => void;
}

/** A browser that has no such channel has its tabs work for themselves. */
export function tabsOf<Message>(name: string): Tabs<Message> {
  const channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`steady-scatter-${name}`);
  // A test runner is not kept from ending.
  (channel as { unref?: () => void } | null)?.unref?.();
  return {
    // oxlint-disable-next-line unicorn/require-post-message-target-origin -- a channel is of this origin alone
    tell: (message) => channel?.postMessage(message),
    hear(listener) {
      const onMessage = ({ data }: MessageEvent<Message>) => listener(data);
      channel?.addEventListener('message', onMessage);
      return () => channel?.removeEventListener('message', onMessage);
    },
  };
}

/** Does something while no other tab does the same; without locks (a page without HTTPS has none) it is done all the same. */
export async function alone<Value>(name: string, act: () => Promise<Value>): Promise<Value> {
  const { locks } = navigator as { locks?: LockManager };
  return locks ? locks.request(`steady-scatter-${name}`, act) : act();
}
