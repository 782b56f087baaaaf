import type { Ground } from '../ground/index.ts';
import { extentOf, frameOf } from './frame.ts';
import { lanesOver, offGround } from './lanes.ts';
import type { HeadingAim, LastPass } from './choices.ts';

const STEP_DEG = 7.5;
/** So many of the longest sides are tried. */
const MAX_SIDES = 12;
const DEG = 180 / Math.PI;

/** A heading and its opposite are one: 0 to less than 180. */
export const folded = (headingDeg: number): number => ((headingDeg % 180) + 180) % 180;

/** Along each of the longest sides, and round the clock. */
function candidates(ground: Ground): number[] {
  const sides = ground.flatMap((outline) =>
    outline.map((a, index) => {
      const b = outline[(index + 1) % outline.length]!;
      return {
        length: Math.hypot(b.x - a.x, b.y - a.y),
        deg: folded(Math.atan2(b.x - a.x, b.y - a.y) * DEG),
      };
    }),
  );
  const longest = sides.toSorted((a, b) => b.length - a.length).slice(0, MAX_SIDES);
  const round = Array.from({ length: 180 / STEP_DEG }, (_, step) => step * STEP_DEG);
  return [...longest.map(({ deg }) => deg), ...round];
}

/** Passes across the ground. */
function passesAcross(ground: Ground, headingDeg: number, spacingM: number): number {
  const { minV, maxV } = extentOf(ground, frameOf(headingDeg));
  return Math.ceil((maxV - minV) / spacingM - 1e-6);
}

/**
 * The heading that suits a piece of ground best, 0 to less than 180 degrees. Where two are as good, the one with fewer interrupted
 * passes, then the one along the longer side.
 */
export function bestHeading(ground: Ground, spacingM: number, last: LastPass, aim: HeadingAim): number {
  const tried = candidates(ground).map((headingDeg) => ({
    headingDeg,
    passes: passesAcross(ground, headingDeg, spacingM),
    offM2: aim === 'fewest' ? 0 : offGround(ground, headingDeg, spacingM, last),
  }));
  const least = Math.min(...tried.map(({ passes }) => passes));
  const good = aim === 'fewest' ? tried.filter(({ passes }) => passes === least) : tried;
  const stretches = (headingDeg: number) => lanesOver(ground, headingDeg, spacingM, last).stretches.length;
  const of = (each: (typeof good)[number]) => (aim === 'fewest' ? stretches(each.headingDeg) : each.offM2);
  let best = { headingDeg: good[0]!.headingDeg, cost: of(good[0]!) };
  for (const each of good.slice(1)) {
    const cost = of(each);
    if (cost < best.cost * (1 - 1e-6) - 1e-9) best = { headingDeg: each.headingDeg, cost };
  }
  return best.headingDeg;
}
