import * as z from 'zod';
import { finite, requirePositive } from '../errors/preconditions.ts';
import type { InputOf } from '../fields/schema.ts';
import { press, runningS, split, STANDING, type Clock, type Stopwatch } from '../testing/stopwatch.ts';
import type { Leg } from '../passes/index.ts';

const clock = z.object({ steadyMs: z.number(), wallMs: z.number() });

/** A run under way on one area, as the device that counts it holds it. */
export const runLogInput = z.object({
  /** Id of the row on the sheet. */
  area: z.string(),
  startedAt: z.string(),
  watch: z.object({ from: clock.nullable(), laps: z.array(z.object({ seconds: z.number(), doubtful: z.boolean() })) }),
  /** Walked of the leg that is under way before it was paused, s. */
  carriedS: z.number(),
  /** Metres walked with the gate open when a fill ran out. */
  empties: z.array(z.number()),
}); // prettier-ignore
export type RunLog = InputOf<typeof runLogInput>;

/**
 * A run that begins on an area.
 *
 * @example beginRun('a', '2026-04-18T08:00:00.000Z').watch.laps // []
 */
export const beginRun = (area: string, startedAt: string): RunLog => ({ area, startedAt, watch: STANDING, carriedS: 0, empties: [] }); // prettier-ignore

const withWatch = (log: RunLog, watch: Stopwatch): RunLog => {
  const isLap = watch.laps.length > log.watch.laps.length;
  if (!isLap) return { ...log, watch };
  const laps = watch.laps.map((lap, index) => (index === watch.laps.length - 1 ? { ...lap, seconds: lap.seconds + log.carriedS } : lap)); // prettier-ignore
  return { ...log, watch: { ...watch, laps }, carriedS: 0 };
};

/**
 * A tap: the first one begins to walk, each further one ends a pass and begins the next.
 *
 * @example tapPass(beginRun('a', ''), { steadyMs: 0, wallMs: 0 }).watch.from // { steadyMs: 0, wallMs: 0 }
 */
export const tapPass = (log: RunLog, now: Clock): RunLog => withWatch(log, log.watch.from ? split(log.watch, now) : press(log.watch, now)); // prettier-ignore

/**
 * How long the pass under way was walked by now, s, what was walked of it before a pause among it.
 *
 * @example elapsedS(beginRun('a', ''), { steadyMs: 0, wallMs: 0 }) // 0
 */
export const elapsedS = ({ watch, carriedS }: RunLog, now: Clock): number =>
  carriedS + Math.max(0, runningS(watch, now));

/**
 * Somebody stops in the middle of a pass: what was walked of it counts when it goes on.
 *
 * @example pauseRun({ ...beginRun('a', ''), watch: { from: { steadyMs: 0, wallMs: 0 }, laps: [] } }, { steadyMs: 4000, wallMs: 4000 }).carriedS // 4
 */
export const pauseRun = (log: RunLog, now: Clock): RunLog =>
  log.watch.from ? { ...log, watch: { ...log.watch, from: null }, carriedS: elapsedS(log, now) } : log;

/**
 * The last pass is taken back: a tap by mistake.
 *
 * @example untapPass(beginRun('a', '')).watch.laps // []
 */
export const untapPass = (log: RunLog): RunLog => ({ ...log, watch: { ...log.watch, laps: log.watch.laps.slice(0, -1) } }); // prettier-ignore

/** How a pass was walked: its time against that of the working pace, and what follows. */
export interface PassPace {
  /** Above 0: slower. */
  readonly slowBy: number;
  /** What falls on the ground against what was meant: above 0 heavy. Nothing follows where wheels meter. */
  readonly heavyBy: number;
}

/**
 * The pace of a pass, its turn among it: `time / (length / pace + turn) - 1`; where product flows as much more falls.
 *
 * @param lengthM of the pass; @param turnS what a turn takes
 * @example paceOfPass(32, { lengthM: 40, paceMPerS: 1.34, turnS: 0, flows: true }).heavyBy // 0.072
 */
export function paceOfPass(
  seconds: number,
  { lengthM, paceMPerS, turnS, flows }: { lengthM: number; paceMPerS: number; turnS: number; flows: boolean },
): PassPace {
  requirePositive({ seconds, lengthM, paceMPerS });
  const slowBy = finite(seconds / (lengthM / paceMPerS + Math.max(0, turnS)) - 1);
  return { slowBy, heavyBy: flows ? slowBy : 0 };
}

/**
 * How the passes of a run were walked together; a pass whose time is in doubt is left out.
 *
 * @returns null where none was timed
 * @example paceOfRun([], passPlan.legs, { paceMPerS: 1.34, turnS: 3, flows: true }) // null
 */
export function paceOfRun(
  laps: Stopwatch['laps'],
  legs: readonly Leg[],
  { paceMPerS, turnS, flows }: { paceMPerS: number; turnS: number; flows: boolean },
): (PassPace & { readonly passes: number }) | null {
  const timed = laps.flatMap(({ seconds, doubtful }, index) =>
    legs[index] && !doubtful && seconds > 0 ? [{ seconds, lengthM: legs[index].lengthM }] : [],
  );
  if (timed.length === 0) return null;
  const sum = (of: 'seconds' | 'lengthM') => timed.reduce((all, each) => all + each[of], 0);
  const together = { lengthM: sum('lengthM'), paceMPerS, turnS: turnS * timed.length, flows };
  return { ...paceOfPass(sum('seconds'), together), passes: timed.length };
}

/**
 * Metres walked with the gate open by now: whole passes, and of the one under way as much as its time says.
 *
 * @param elapsedS of the pass under way
 * @example walkedBy(passPlan.legs, 1, 0, 1.3) // 40
 */
export function walkedBy(legs: readonly Leg[], done: number, elapsedS: number, paceMPerS: number): number {
  requirePositive({ paceMPerS });
  const whole = legs.slice(0, Math.max(0, done)).reduce((sum, { lengthM }) => sum + lengthM, 0);
  return finite(whole + Math.min(legs[done]?.lengthM ?? 0, Math.max(0, elapsedS) * paceMPerS));
}

/**
 * What a fill that ran out says of the rate: what was in it over what the way to there should have taken.
 *
 * @param fillSi of the fill, kg or L; @param metres walked on it; @param perM what each metre is to take
 * @returns 1 as meant, above it heavy
 * @example rateByFill(16, 200, 0.075) // 1.066667
 */
export function rateByFill(fillSi: number, metres: number, perM: number): number {
  requirePositive({ fillSi, metres, perM });
  return finite(fillSi / (metres * perM));
}
