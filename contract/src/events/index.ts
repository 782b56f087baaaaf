// Events: what was measured or done. Rows are appended, by anyone and in any order; what they say by now is made from them.
import { applications } from './applications.ts';
import { looks } from './looks.ts';
import { stockMoves } from './stockMoves.ts';
import { testRuns } from './testRuns.ts';

/** Everything that is appended, by its name. */
export const EVENTS = { testRuns, applications, looks, stockMoves } as const;

export type EventName = keyof typeof EVENTS;
export const EVENT_NAMES = Object.keys(EVENTS) as EventName[];
