import type { ProductInput } from '../products/product.ts';
import type { CalibrationInput } from './calibrationInput.ts';
import { dimensionOf, isSprayed } from './rate.ts';

/**
 * How a chart's product stands to a sheet's: the same, the same by its grade alone, said to be the same under another name, another
 * one, or not known for want of a name.
 */
export interface ChartMatch {
  readonly is: 'same' | 'same-grade' | 'said-same' | 'other' | 'unnamed';
  /** Both as they are called. */
  readonly sheet: string;
  readonly chart: string;
  /** The grain or the lot differ: the chart was made with other grains. */
  readonly differs: readonly ('grain' | 'lot')[];
}

const GRADE = /\d+(?:\.\d+)?\s*-\s*\d+(?:\.\d+)?\s*-\s*\d+(?:\.\d+)?/;
const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');
const gradeIn = (text: string): string => GRADE.exec(text)?.[0].replace(/\s/g, '') ?? '';
/** A name without the grade that often stands in it. */
const nameIn = (text: string): string => plain(text.replace(GRADE, ''));

const differ = (a: string, b: string): boolean => a.trim() !== '' && b.trim() !== '' && plain(a) !== plain(b);

/**
 * How the two are called together, to be kept on the sheet when somebody says that they are one.
 *
 * @example sameProductKey({ sheet: 'Lake feed', chart: 'Spring feed' }) // 'Lake feed = Spring feed'
 */
export const sameProductKey = ({ sheet, chart }: Pick<ChartMatch, 'sheet' | 'chart'>): string =>
  `${sheet} = ${chart}`;

/**
 * Holds the product of a sheet against that of a chart: by name and grade, then by grain and lot.
 *
 * @param onShelf the chart's product as it stands on the shelf; null: not there
 * @param sameProduct what the sheet says of two names for one product
 * @example chartMatch(lakeFeed, { ...calibration, product: 'Organic meal' }, null, '').is // 'other'
 */
export function chartMatch(
  product: ProductInput,
  calibration: CalibrationInput,
  onShelf: ProductInput | null,
  sameProduct: string,
): ChartMatch {
  const sheet = [product.name.trim(), product.grade.trim()].filter((text, index, all) => text !== '' && (index === 0 || !all[0]!.includes(text))).join(' '); // prettier-ignore
  const chart = calibration.product.trim() || (onShelf?.name.trim() ?? '');
  const { grain, lot } = calibration.signOff ?? calibration;
  const differs = [
    ...(differ(product.grainSize, grain) ? (['grain'] as const) : []),
    ...(differ(product.lot, lot) ? (['lot'] as const) : []),
  ];
  const of = (is: ChartMatch['is']): ChartMatch => ({ is, sheet, chart, differs });
  // What sprays water sprays every mix that flows like it.
  if (isSprayed(dimensionOf(calibration.target.unit))) return { ...of('same'), differs: [] };
  if (sheet === '' || chart === '') return of('unnamed');
  if (sameProduct !== '' && sameProduct === sameProductKey({ sheet, chart })) return of('said-same');
  const grades = [product.grade.replace(/\s/g, '') || gradeIn(product.name), onShelf?.grade.replace(/\s/g, '') || gradeIn(chart)]; // prettier-ignore
  if (grades[0] !== '' && grades[1] !== '' && grades[0] !== grades[1]) return of('other');
  const [own, theirs] = [nameIn(product.name), nameIn(chart)];
  if (own !== '' && theirs !== '') return of(own === theirs ? 'same' : 'other');
  return of(grades[0] !== '' && grades[0] === grades[1] ? 'same-grade' : 'other');
}

/**
 * Whether a chart may give a setting for the sheet's product.
 *
 * @example mayGiveSetting(chartMatch(lakeFeed, calibration, null, '')) // true
 */
export const mayGiveSetting = ({ is }: ChartMatch): boolean => is !== 'other';
