import { needAtRate, type WorksheetAnswer } from '../worksheet/answer.ts';
import type { WorksheetInput } from '../worksheet/worksheetInput.ts';

/** How a rate stands to the range of rates of its label. */
export interface LabelRange {
  /** Ends that the label states, in units of the product's rate (SI), with the need that would meet each; null: none would. */
  readonly ends: readonly {
    readonly end: 'lowest' | 'highest';
    readonly si: number;
    readonly need: string | null;
  }[];
  /** What one application puts down, SI; null: not known yet. */
  readonly rateSi: number | null;
  readonly off: 'below' | 'above' | null;
}

/** Rounding in the last digits of a division is not out of range. */
const SLACK = 1e-9;

/**
 * The label's own range, held against one application: a portion, where the whole goes down in several.
 *
 * @returns null where the label states no range
 * @example labelRange(answer, sheet) // null: this label states no rates
 */
export function labelRange(answer: WorksheetAnswer, input: WorksheetInput): LabelRange | null {
  const { labelLow, labelHigh } = answer.reading.product;
  if (labelLow === null && labelHigh === null) return null;
  const { portions } = answer.reading.split;
  const rateSi = answer.numbers.rateSi === null ? null : answer.numbers.rateSi / portions;
  const endOf = (end: 'lowest' | 'highest', si: number | null) =>
    si === null ? [] : [{ end, si, need: needAtRate(answer, input, si * portions) }];
  const isBelow = rateSi !== null && labelLow !== null && rateSi < labelLow * (1 - SLACK);
  const isAbove = rateSi !== null && labelHigh !== null && rateSi > labelHigh * (1 + SLACK);
  return {
    ends: [...endOf('lowest', labelLow), ...endOf('highest', labelHigh)],
    rateSi,
    off: isBelow ? 'below' : isAbove ? 'above' : null,
  };
}
