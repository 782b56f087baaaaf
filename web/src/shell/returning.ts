import { browser } from '../ui/browserStores.ts';
import { today } from '../ui/today.ts';

const KEY = 'steady-scatter.works-since';

/** Somebody saved something here: from the next day on this device is one of a crew that comes back. */
export function noteWork(): void {
  try {
    if (browser.getItem(KEY) === null) browser.setItem(KEY, today());
  } catch {
    // A browser that keeps nothing opens with a new sheet, always.
  }
}

/** Opened anew, without asking for anything: not loaded again, not by a link, not going back. */
function isPlainOpening(): boolean {
  const { pathname, search, hash } = window.location;
  const [entry] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  return pathname === '/' && search === '' && hash === '' && entry?.type === 'navigate';
}

/** A crew that comes back sees its day first; a new one gets the sheet. */
export function openAtToday(): void {
  const since = browser.getItem(KEY);
  if (since !== null && since < today() && isPlainOpening()) window.history.replaceState(null, '', '/today');
}
