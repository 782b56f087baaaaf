import type { OffKind } from '@steady-scatter/core/coverage';
import type { HeadingAim, LastPass, Wind } from '@steady-scatter/core/passes';
import { say } from '@steady-scatter/words/load';

export const WIND_NAMES: Readonly<Record<Wind, string>> = {
  n: say('load.wind.n'),
  ne: say('load.wind.ne'),
  e: say('load.wind.e'),
  se: say('load.wind.se'),
  s: say('load.wind.s'),
  sw: say('load.wind.sw'),
  w: say('load.wind.w'),
  nw: say('load.wind.nw'),
};

export const AIM_NAMES: Readonly<Record<HeadingAim, string>> = {
  fewest: say('load.aim.fewest'),
  'least-off': say('load.aim.least-off'),
};

export const LAST_NAMES: Readonly<Record<LastPass, string>> = {
  even: say('load.last.even'),
  overlap: say('load.last.overlap'),
};

export const SIDE_NAMES = { left: say('load.side.left'), right: say('load.side.right') } as const;

/** What lies beside an area. */
export const OFF_NAMES: Readonly<Record<OffKind, string>> = {
  water: say('load.kind.water'),
  drain: say('load.kind.drain'),
  buffer: say('load.kind.buffer'),
  pavement: say('load.kind.pavement'),
  neighbour: say('load.kind.neighbour'),
  other: say('load.kind.other'),
};

/** Ways to look at an area that is loaded. */
export const LOOK_NAMES = {
  passes: say('load.look.passes'),
  coverage: say('load.look.coverage'),
  blocks: say('load.look.blocks'),
} as const;
export type Look = keyof typeof LOOK_NAMES;
export const LOOKS = Object.keys(LOOK_NAMES) as Look[];
