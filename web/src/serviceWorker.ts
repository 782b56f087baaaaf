import { Workbox } from 'workbox-window';
import { noteUpdate } from './api/connection.ts';

let waiting: Workbox | null = null;

/** Has the files of the app put by on this device, where the browser lets it: on HTTPS, and on the machine itself. */
export function startServiceWorker(): void {
  if (!('serviceWorker' in navigator) || import.meta.env.DEV) return;
  const worker = new Workbox('/serviceWorker.js');
  worker.addEventListener('waiting', () => {
    waiting = worker;
    noteUpdate();
  });
  void worker.register();
}

/** Goes on with the newer version; what is typed is held on this device. Other pages stay with theirs until they are closed. */
export function takeUpdate(): void {
  if (!waiting) {
    location.reload();
    return;
  }
  waiting.addEventListener('controlling', () => location.reload());
  waiting.messageSkipWaiting();
}
