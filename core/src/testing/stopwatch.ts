/** Two clocks read at one moment, ms: one that only runs forward, and that of the wall, which may be set. */
export interface Clock {
  readonly steadyMs: number;
  readonly wallMs: number;
}

/** A stopwatch: plain data, so that it can be put away and taken up again. */
export interface Stopwatch {
  /** When it was started; null: it stands. */
  readonly from: Clock | null;
  /** Times taken, s. */
  readonly laps: readonly Lap[];
}

export interface Lap {
  readonly seconds: number;
  /** The clocks disagree: the device slept, or its clock was set. Time it again. */
  readonly doubtful: boolean;
}

export const STANDING: Stopwatch = { from: null, laps: [] };

/** The clocks of a device drift against each other by less than this over minutes. */
const CLOCKS_AGREE_MS = 500;
/** A second press within this is a bounce of the finger. */
const BOUNCE_MS = 300;

function lapBetween(from: Clock, now: Clock): Lap {
  const [steady, wall] = [now.steadyMs - from.steadyMs, now.wallMs - from.wallMs];
  // After a reload the steady clock begins anew: then only the wall is left, and it is doubted.
  const isSame = steady >= 0;
  return {
    seconds: (isSame ? steady : wall) / 1000,
    doubtful: !isSame || Math.abs(steady - wall) > CLOCKS_AGREE_MS,
  };
}

/**
 * A press: starts it, or stops it and takes the time.
 *
 * @example press({ from: { steadyMs: 0, wallMs: 0 }, laps: [] }, { steadyMs: 29100, wallMs: 29100 }).laps[0].seconds // 29.1
 */
export function press(watch: Stopwatch, now: Clock): Stopwatch {
  if (!watch.from) return { ...watch, from: now };
  const lap = lapBetween(watch.from, now);
  if (lap.seconds * 1000 < BOUNCE_MS) return watch;
  return { from: null, laps: [...watch.laps, lap] };
}

/**
 * A press at the end of a course that is the beginning of the next one: takes the time and runs on.
 *
 * @example split(STANDING, { wallMs: 1000, steadyMs: 1000 }).laps // []
 */
export function split(watch: Stopwatch, now: Clock): Stopwatch {
  const next = press(watch, now);
  return next === watch || next.from ? next : { ...next, from: now };
}

/**
 * Seconds on the watch while it runs; 0 while it stands.
 *
 * @example runningS(STANDING, { wallMs: 1000, steadyMs: 1000 }) // 0
 */
export const runningS = ({ from }: Stopwatch, now: Clock): number => (from ? lapBetween(from, now).seconds : 0); // prettier-ignore
