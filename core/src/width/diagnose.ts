import { message, type Message } from '../messages/message.ts';
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

/**
 * What is seen of each fault, and what on this kind of machine usually causes it.
 *
 * @example faultTexts(['hollow'], 'push-rotary')[0].try.id // 'pattern.try.rotary.hollow'
 */
export const faultTexts = (faults: readonly Fault[], kind: RigKind): { seen: Message; try: Message }[] => {
  const type = rigKind(kind).width === 'passes' ? 'rotary' : 'drop';
  return faults.map((fault) => ({
    seen: message(`pattern.fault.${fault}`),
    try: message(`pattern.try.${type}.${fault}`),
  }));
};
