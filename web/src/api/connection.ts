/** What is known of the server from the answers that came, or did not. */
export interface Connection {
  readonly reachable: boolean;
  /** The server's clock less this device's, in ms; null before the first answer. */
  readonly clockDifferenceMs: number | null;
  /** This device may read and write; false once the server said that it is not paired. */
  readonly paired: boolean;
  /** The server took this device off its list: what it holds of the crew is to go. */
  readonly forgotten: boolean;
  /** Which installation answered last; null: none yet. */
  readonly installation: string | null;
  /** A newer version of the app is there. */
  readonly updated: boolean;
}

const INSTALLATION_KEY = 'steady-scatter.installation';

/** The one that answered last time: what is saved before anything answers is meant for it. */
function lastInstallation(): string | null {
  try {
    return localStorage.getItem(INSTALLATION_KEY);
  } catch {
    return null;
  }
}

let current: Connection = {
  reachable: true,
  clockDifferenceMs: null,
  paired: true,
  forgotten: false,
  installation: lastInstallation(),
  updated: false,
};
const listeners = new Set<() => void>();

function set(next: Connection): void {
  const keys = Object.keys(next) as (keyof Connection)[];
  if (keys.every((key) => next[key] === current[key])) return;
  current = next;
  for (const listener of listeners) listener();
}

const SAME_CLOCK_MS = 60_000;

/** When the last answer came, by this page's own clock. */
let answeredAt = -Infinity;

/** Notes an answer, with the server's clock as its Date header tells it. */
export function noteAnswer(dateHeader: string | null, now: number): void {
  answeredAt = performance.now();
  const told = Date.parse(dateHeader ?? '');
  const difference = Number.isNaN(told) ? current.clockDifferenceMs : told - now;
  const known = current.clockDifferenceMs;
  const steady = known !== null && difference !== null && Math.abs(known - difference) < SAME_CLOCK_MS;
  set({ ...current, reachable: true, clockDifferenceMs: steady ? known : difference });
}

/** Notes that this device was paired, or is not. */
export const notePaired = (paired: boolean): void =>
  set({ ...current, paired, forgotten: paired ? false : current.forgotten });

/** Notes that this device was forgotten. */
export const noteForgotten = (): void => set({ ...current, paired: false, forgotten: true });

/** Notes which installation answered. */
export function noteInstallation(installation: string | null): void {
  if (installation === null || installation === current.installation) return;
  try {
    localStorage.setItem(INSTALLATION_KEY, installation);
  } catch {
    // It is known as long as the page is open.
  }
  set({ ...current, installation });
}

/** Notes that a newer version of the app is there. */
export const noteUpdate = (): void => set({ ...current, updated: true });

/**
 * Notes that no answer came.
 *
 * @param askedAt when it was asked, by this page's own clock: where something was answered since, it says nothing of now
 */
export function noteSilence(askedAt = performance.now()): void {
  if (askedAt >= answeredAt) set({ ...current, reachable: false });
}

/** Whether the server answers just now; asked without the parts of the page that may not have come. */
export async function serverAnswers(): Promise<boolean> {
  try {
    return (await fetch('/api/health')).ok;
  } catch {
    return false;
  }
}

export const connectionStore = {
  subscribe(listener: () => void) {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
  get: (): Connection => current,
};
