import type { Shown } from '../quantities/show.ts';

/** Where a value comes from, with the words for it. The interface draws each with its own underline. */
export const ORIGINS = {
  typed: 'typed',
  measured: 'measured',
  test: 'from a test',
  label: 'from the label',
  estimated: 'estimated',
  computed: 'worked out',
} as const;

export type Origin = keyof typeof ORIGINS;

/** One value in a line of working. `shown` is null while the value is missing. */
export interface Term {
  readonly type: 'term';
  /** Stable name of the term, for editors and tests: 'need.amount', 'rate'. */
  readonly role: string;
  readonly shown: Shown | null;
  /** The value with more figures, before it was rounded for show; null where nothing was rounded. */
  readonly unrounded: string | null;
  readonly origin: Origin;
  /** A result that the line is about. */
  readonly strong: boolean;
}

/** How a joining part is read when a line is worked out; null: it is said and counts nothing. `stop` ends a statement. */
export type Reads = '+' | '−' | '×' | '÷' | '=' | '(' | ')' | 'stop' | null;

/** An operator or a joining word between terms. */
export interface Join {
  readonly type: 'operator' | 'word';
  readonly text: string;
  readonly reads: Reads;
}

/** A line of arithmetic that reads like a person's own page. Screens, prints and exports draw this, none re-computes. */
export interface Working {
  readonly id: string;
  readonly label: string;
  readonly parts: readonly (Term | Join)[];
}

/** Stands for a value that is not known yet. */
export const MISSING = '—';

/**
 * " ±0.7" after a value whose band is known, else nothing.
 *
 * @example bandText({ number: '3.3', band: '0.1', unit: 'kg' }) // ' ±0.1'
 */
export const bandText = ({ band }: Shown): string => (band === undefined ? '' : ` ±${band}`);

/**
 * A term as text: number and unit, or a dash.
 *
 * @example termText(term('rate', { number: '3.33', unit: 'lb / 1000 ft²' })) // '3.33 lb / 1000 ft²'
 */
export const termText = ({ shown }: Term): string =>
  shown ? `${shown.number} ${shown.unit}${bandText(shown)}`.trim() : MISSING;

/**
 * A line of working as plain text, to be copied.
 *
 * @example workingText(answer.lines.need) // '0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²'
 */
export const workingText = ({ parts }: Working): string =>
  parts.map((part) => (part.type === 'term' ? termText(part) : part.text)).join(' ');

/**
 * Builds a term; computed, weak and with nothing rounded unless said.
 *
 * @example term('rate', null).type // 'term'
 */
export function term(
  role: string,
  shown: Shown | null,
  more: Partial<Omit<Term, 'type' | 'role' | 'shown'>> = {},
): Term {
  return { type: 'term', role, shown, unrounded: null, origin: 'computed', strong: false, ...more };
}

/**
 * An operator between terms.
 *
 * @example operator('÷').reads // '÷'
 */
export const operator = (text: '+' | '−' | '×' | '÷' | '='): Join => ({
  type: 'operator',
  text,
  reads: text,
});

/**
 * A joining word.
 *
 * @param reads what it stands for, where it stands for something: "on each" divides, "so take" ends a statement
 * @example word('of').reads // null
 */
export const word = (text: string, reads: Reads = text === '(' || text === ')' ? text : null): Join => ({
  type: 'word',
  text,
  reads,
});
