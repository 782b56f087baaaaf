import { connectionStore } from './api/connection.ts';
import { queries } from './api/queries.ts';
import { drafts, openDrafts } from './documents/drafts.ts';
import { outbox } from './outbox/index.ts';
import { loadAllParts } from './ui/lazyPart.ts';
import { bringPanels } from './shell/CommandPanels.tsx';
import { noteWork, openAtToday } from './shell/returning.ts';
import { startServiceWorker } from './serviceWorker.ts';

/** What is shown and the first things typed go first. */
const AFTER_SCREEN_MS = 4000;
/** Documents come before them. */
const PARTS_MS = 8000;
/** A panel may be asked for at any moment, and is to stand at once. */
const PANELS_MS = 500;
const AGAIN_MS = 15 * 60_000;

const whenIdle = (act: () => void): void => {
  if ('requestIdleCallback' in window) window.requestIdleCallback(act);
  else setTimeout(act, 300);
};

/** Brings what has to be at hand without a network; what fails is done the next time. */
async function catchUpNow(): Promise<void> {
  const { reachable, paired } = connectionStore.get();
  if (!reachable || !paired || document.visibilityState === 'hidden') return;
  try {
    const { catchUp } = await import('./offline/catchUp.ts');
    await catchUp(new AbortController().signal);
  } catch {
    // The server did not answer to the end.
  }
}

/** The crew took this device off its list: what it holds of the crew goes. */
async function wipe(): Promise<void> {
  queries.clear();
  const { clearAtHand } = await import('./offline/keep.ts');
  await Promise.all([drafts.clear(), outbox.clear(), clearAtHand()]);
  localStorage.clear();
  sessionStorage.clear();
}

function watchConnection(): void {
  let before = connectionStore.get();
  connectionStore.subscribe(() => {
    const now = connectionStore.get();
    const isBack = now.reachable && now.paired && !(before.reachable && before.paired);
    const isForgotten = now.forgotten && !before.forgotten;
    before = now;
    if (isBack) whenIdle(() => void catchUpNow());
    if (isForgotten) void wipe();
  });
}

/** Reads what this device holds: nothing is shown before, so that nothing typed seems to be gone. */
export async function openDevice(): Promise<void> {
  queries.mount();
  watchConnection();
  window.addEventListener('pagehide', () => drafts.flush());
  outbox.subscribe(() => outbox.get().length > 0 && noteWork());
  await Promise.all([openDrafts(), outbox.open()]);
  openAtToday();
}

/** Where the browser puts no files by, an open page holds all its parts itself: it needs the network for none of them then. */
async function bringParts(): Promise<void> {
  if (await startServiceWorker()) return;
  setTimeout(() => whenIdle(() => void loadAllParts()), PARTS_MS);
}

/** What goes on behind the screen: parts and documents are brought here while nothing else is going on. */
export function startBackground(): void {
  const begin = () => {
    void bringParts();
    whenIdle(() => void catchUpNow());
    setInterval(() => void catchUpNow(), AGAIN_MS);
  };
  const soon = () => {
    setTimeout(() => whenIdle(() => void bringPanels()), PANELS_MS);
    setTimeout(begin, AFTER_SCREEN_MS);
  };
  if (document.readyState === 'complete') soon();
  else window.addEventListener('load', soon, { once: true });
}
