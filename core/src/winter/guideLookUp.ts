import { requireFinite } from '../errors/preconditions.ts';
import type { GuideLine } from './guide.ts';
import type { GuideProduct, Treatment, Trend } from './guideInput.ts';

/** What is asked of a guide, besides the temperature. */
export interface GuideCase {
  readonly trend: Trend;
  readonly situation: string;
  readonly treatment: Treatment;
  readonly product: GuideProduct;
}

/** What a guide says: a line, or the lines to either side of where it says nothing. */
export interface GuideAnswer {
  readonly line: GuideLine | null;
  /** The nearest lines that hold for colder and for warmer pavement; null: there is none. */
  readonly colder: GuideLine | null;
  readonly warmer: GuideLine | null;
}

/**
 * Whether two texts name one situation, however they are written.
 *
 * @example sameSituation('Light  snow', 'light snow ') // true
 */
export const sameSituation = (a: string, b: string): boolean => plain(a) === plain(b);
const plain = (text: string): string => text.trim().toLowerCase().replaceAll(/\s+/g, ' ');

export const coldOf = ({ coldC }: { readonly coldC: number | null }): number => coldC ?? -Infinity;
export const warmOf = ({ warmC }: { readonly warmC: number | null }): number => warmC ?? Infinity;

/** How closely a line names its case: one for this trend holds over one for any. */
export const closeness = ({ trend, treatment }: Pick<GuideLine, 'trend' | 'treatment'>): number =>
  (trend === 'any' ? 0 : 1) + (treatment === 'any' ? 0 : 1);

export const isFor = (line: GuideLine, { trend, situation, treatment, product }: GuideCase): boolean =>
  line.product === product &&
  sameSituation(line.situation, situation) &&
  (line.trend === 'any' || line.trend === trend) &&
  (line.treatment === 'any' || line.treatment === treatment);

/** The closest, of those the coldest. */
const best = (lines: readonly GuideLine[]): GuideLine | null =>
  lines.toSorted((a, b) => closeness(b) - closeness(a) || coldOf(a) - coldOf(b))[0] ?? null;

/**
 * The line of a guide that holds. At the edge of two bands it is the colder one; a line for this trend or treatment goes before one
 * for any.
 *
 * @param pavementC of the pavement, never of the air
 * @throws InputError number.unusable
 * @example lookUpGuide([], -5, { trend: 'falling', situation: 'frost', treatment: 'before', product: 'dry' }).line // null
 */
export function lookUpGuide(lines: readonly GuideLine[], pavementC: number, asked: GuideCase): GuideAnswer {
  requireFinite({ temperature: pavementC });
  const fit = lines.filter((line) => isFor(line, asked));
  // A band reaches to its warm edge; its cold edge belongs to the colder band, where there is one.
  const holds = fit.filter((line) => pavementC > coldOf(line) && pavementC <= warmOf(line));
  const line = best(holds.length > 0 ? holds : fit.filter((each) => pavementC === coldOf(each)));
  if (line) return { line, colder: null, warmer: null };
  const colder = fit.filter((each) => warmOf(each) < pavementC).toSorted((a, b) => warmOf(b) - warmOf(a));
  const warmer = fit.filter((each) => coldOf(each) > pavementC).toSorted((a, b) => coldOf(a) - coldOf(b));
  return { line: null, colder: colder[0] ?? null, warmer: warmer[0] ?? null };
}
