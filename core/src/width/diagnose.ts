import { rigKind, type RigKind } from '../machines/kinds.ts';
import { depositAt, leftShare, underPattern, throwOf, type Pattern } from './pattern.ts';

/** What is wrong with the shape of a pattern. */
export type Fault = 'left-heavy' | 'right-heavy' | 'hollow' | 'peaked' | 'narrow';

/** Half the pattern may lie this far from the middle before it counts as skewed. */
const SKEW = 0.04;
/** Against the mean of the inner half: the middle this much lower is a hollow, this much higher a peak. */
const HOLLOW = 0.8;
const PEAK = 1.35;

/**
 * What is wrong with a pattern: skewed, hollow in the middle, peaked, or narrower than it is passed.
 *
 * @param widestM the widest even spacing, m; null: none
 * @param usualM the spacing that is usually passed, m; null: not known
 * @example faultsOf(pattern, 5.2, 5).join() // ''
 */
export function faultsOf(pattern: Pattern, widestM: number | null, usualM: number | null): Fault[] {
  const left = leftShare(pattern);
  const quarter = throwOf(pattern) / 4;
  const middle = (pattern.xM[0]! + pattern.xM.at(-1)!) / 2;
  const inner = { xM: [middle - quarter, ...pattern.xM.filter((x) => Math.abs(x - middle) < quarter), middle + quarter], y: [] as number[] }; // prettier-ignore
  const mean = underPattern({ ...inner, y: inner.xM.map((x) => depositAt(pattern, x)) }) / (2 * quarter);
  const atMiddle = depositAt(pattern, 0) / mean;
  return [
    ...(left > 0.5 + SKEW ? (['left-heavy'] as const) : []),
    ...(left < 0.5 - SKEW ? (['right-heavy'] as const) : []),
    ...(atMiddle < HOLLOW ? (['hollow'] as const) : []),
    ...(atMiddle > PEAK ? (['peaked'] as const) : []),
    ...(usualM !== null && (widestM === null || widestM < 0.9 * usualM) ? (['narrow'] as const) : []),
  ];
}

const SIDE = (side: string, other: string) => ({
  said: `More falls to the ${side} than to the ${other}.`,
  rotary: `Usually the drop point: move it so that product lands later or earlier on the impeller, or look for a worn or clogged blade. A level machine first.`,
  drop: `A drop spreader skews when its gate stands at an angle or one side of the hopper is caked.`,
});

const WORDS: Readonly<Record<Fault, { said: string; rotary: string; drop: string }>> = {
  'left-heavy': SIDE('left', 'right'),
  'right-heavy': SIDE('right', 'left'),
  hollow: {
    said: 'The middle gets too little.',
    rotary: 'The impeller throws all of it outwards: slow it down, or lower the drop point; light product does this at high speed.',
    drop: 'Look for a bridge or caked product in the middle of the hopper.',
  },
  peaked: {
    said: 'Too much falls in the middle.',
    rotary: 'The impeller is too slow or its blades are clogged, so product dribbles off it: walk faster, clean the blades, or speed it up.',
    drop: 'Look for a bent gate in the middle of the hopper.',
  },
  narrow: {
    said: 'It does not throw as far as you pass.',
    rotary: 'Light or dusty product, a slow impeller or a slow pace: speed up, or pass closer.',
    drop: 'Pass with the wheel track beside the last one: a drop spreader only covers its hopper.',
  },
}; // prettier-ignore

/**
 * The faults in words: what is seen, and what on this kind of machine usually causes it.
 *
 * @example faultTexts(['hollow'], 'push-rotary')[0].try // 'The impeller throws all of it outwards: …'
 */
export const faultTexts = (faults: readonly Fault[], kind: RigKind): { said: string; try: string }[] =>
  faults.map((fault) => {
    const { said, rotary, drop } = WORDS[fault];
    return { said, try: rigKind(kind).width === 'pass spacing' ? rotary : drop };
  });
