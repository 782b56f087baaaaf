import { Workbox } from 'workbox-window';
import { noteUpdate } from './api/connection.ts';

/** Has the files of the app put by on this device; gives whether the browser does: on HTTPS, and on the machine itself. */
export async function startServiceWorker(): Promise<boolean> {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return false;
  const worker = new Workbox('/serviceWorker.js');
  worker.addEventListener('waiting', noteUpdate);
  try {
    return (await worker.register()) !== undefined;
  } catch {
    // Forbidden by whoever set up this browser, or it did not come.
    return false;
  }
}

/** Goes on with the newer version; what is typed is held on this device. Other pages stay with theirs until they are closed. */
export async function takeUpdate(): Promise<void> {
  const next = (await navigator.serviceWorker?.getRegistration())?.waiting;
  if (!next) {
    location.reload();
    return;
  }
  next.addEventListener('statechange', () => {
    if (next.state === 'activated') location.reload();
  });
  // oxlint-disable-next-line unicorn/require-post-message-target-origin -- a worker is of this origin alone
  next.postMessage({ type: 'SKIP_WAITING' });
}
