import type { Message, Speak } from '../messages/message.ts';
import type { DisplayValue } from '../quantities/show.ts';

/** Where a value comes from. The interface draws each with its own underline. */
export const ORIGINS = ['typed', 'measured', 'test', 'label', 'estimated', 'computed'] as const;

export type Origin = (typeof ORIGINS)[number];

/** One value in a line of working. `shown` is null while the value is missing. */
export interface Term {
  readonly type: 'term';
  /** Stable name of the term, for editors and tests: 'need.amount', 'rate'. */
  readonly role: string;
  readonly shown: DisplayValue | null;
  /** What is said behind the unit: "2 rows", "0.4 from Urea"; null: nothing. */
  readonly of: Message | null;
  /** The value with more figures, before it was rounded for show; null where nothing was rounded. */
  readonly unrounded: string | Message | null;
  readonly origin: Origin;
  /** A result that the line is about. */
  readonly strong: boolean;
}

/** How a joining part is read when a line is worked out; null: it is said and counts nothing. `stop` ends a statement. */
export type Reads = '+' | '−' | '×' | '÷' | '=' | '(' | ')' | 'stop' | null;

/** An operator, a bracket, or something said between terms. */
export interface Join {
  readonly type: 'operator' | 'word';
  readonly text: string | Message;
  readonly reads: Reads;
}

/** A line of arithmetic that reads like a person's own page. Screens, prints and exports draw this, none re-computes. */
export interface Working {
  readonly id: string;
  /** A name that was given, or what the line is. */
  readonly label: Message | string;
  readonly parts: readonly (Term | Join)[];
}

/** Stands for a value that is not known yet. */
export const MISSING = '—';

/**
 * " ±0.7" after a value whose band is known, else nothing.
 *
 * @example bandText({ number: '3.3', band: '0.1', unit: 'kg' }) // ' ±0.1'
 */
export const bandText = ({ band }: DisplayValue): string => (band === undefined ? '' : ` ±${band}`);

/**
 * A term as text: number, unit and what is said behind it, or a dash.
 *
 * @example termText(term('rate', { number: '3.33', unit: 'lb / 1000 ft²' }), speak) // '3.33 lb / 1000 ft²'
 */
export const termText = ({ shown, of }: Pick<Term, 'shown' | 'of'>, speak: Speak): string =>
  shown ? [shown.number, shown.unit, of && speak(of)].filter(Boolean).join(' ') + bandText(shown) : MISSING;

/**
 * A line of working as plain text, to be copied.
 *
 * @example workingText(answer.lines.need, speak) // '0.8 lb N on each 1000 ft² ÷ 24 % in 24-0-8 = 3.33 lb / 1000 ft²'
 */
export const workingText = ({ parts }: Working, speak: Speak): string =>
  parts.map((part) => (part.type === 'term' ? termText(part, speak) : speak(part.text))).join(' ');

/**
 * Builds a term; computed, weak and with nothing rounded unless said.
 *
 * @example term('rate', null).type // 'term'
 */
export function term(
  role: string,
  shown: DisplayValue | null,
  more: Partial<Omit<Term, 'type' | 'role' | 'shown'>> = {},
): Term {
  return { type: 'term', role, shown, of: null, unrounded: null, origin: 'computed', strong: false, ...more };
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
 * A bracket.
 *
 * @example bracket('(').reads // '('
 */
export const bracket = (text: '(' | ')'): Join => ({ type: 'word', text, reads: text });

/**
 * Something said between terms.
 *
 * @param reads what it stands for, where it stands for something: "on each" divides, "so take" ends a statement
 * @example word(message('working.of')).reads // null
 */
export const word = (text: Message, reads: Reads = null): Join => ({ type: 'word', text, reads });
