import type { InputError } from '@steady-scatter/core/errors';
import { versionAfter, type Json, type UpgradeStep } from '@steady-scatter/core/fields';
import * as z from 'zod';
import type { Speak } from '@steady-scatter/core/messages';

/** A column of a list: what it holds, and how the database keeps it. `list` is a list or a table in JSON: shown, not sorted by. */
export interface Column<Value> {
  readonly type: 'text' | 'id' | 'day' | 'si' | 'count' | 'flag' | 'list';
  readonly schema: z.ZodType<Value>;
}

/** A short text. */
export const shortText: Column<string> = { type: 'text', schema: z.string() };
/** The id of something else; empty: none. */
export const idColumn: Column<string> = { type: 'id', schema: z.string() };
/** Year-month-day; empty: not said. */
export const dayColumn: Column<string> = { type: 'day', schema: z.string() };
/** A value in SI units; null: not known. */
export const siColumn: Column<number | null> = { type: 'si', schema: z.number().nullable() };
export const countColumn: Column<number> = { type: 'count', schema: z.int() };
export const flagColumn: Column<boolean> = { type: 'flag', schema: z.boolean() };
/** Several of something, shown together. */
export const listColumn = <Value>(item: z.ZodType<Value>): Column<readonly Value[]> => ({
  type: 'list',
  schema: z.array(item),
});

export type Columns = Readonly<Record<string, Column<unknown>>>;
export type RowOf<Of extends Columns> = {
  readonly [Name in keyof Of]: Of[Name] extends Column<infer Value> ? Value : never;
};

/** Everything that is told of a kind: routes, tables, lists, search, files and backup are made from it. */
export interface KindEntry<Name extends string, Input, Result, Of extends Columns> {
  /** Its name in code and files: the plural, as in `soilTests`. */
  readonly name: Name;
  readonly path: `/api/${string}`;
  /** Reads a document of this version; what it does not know it leaves out. */
  readonly schema: z.ZodType<Input>;
  /** How documents of earlier versions become one of this version. */
  readonly upgrades: readonly UpgradeStep[];
  /** What core works out of it, once however many ask. */
  evaluate(input: Input): Result;
  /** Columns of its list, besides its name. */
  readonly columns: Of;
  /** The column that its list is sorted by where nothing else is asked for; `-` for the last first. */
  readonly sort: string;
  /** Other columns that a list of thousands is sorted by. */
  readonly indexed?: readonly string[];
  summarise(input: Input, result: Result): RowOf<Of>;
  /** One has no name of its own: it is not searched for. */
  readonly isNameless?: boolean;
  nameOf(input: Input): string;
  /** Texts that it is found by, besides its name; what its kind is called among them. */
  textsOf(input: Input, speak: Speak): readonly string[];
  /** Ids of what it leans on. */
  linksOf(input: Input): readonly string[];
  /** Why a change may not be stored; none: it may. */
  refuses?(before: Input, after: Input): readonly InputError[];
  /** The same of one that something was measured or done for: that may not be said of something else afterwards. */
  refusesOnceMeasured?(before: Input, after: Input): readonly InputError[];
  /** One of them can be far larger than what is typed by hand. */
  readonly isLarge?: boolean;
}

/** A kind with what follows from its entry. */
export interface Kind<Name extends string = string, Input = unknown, Result extends WithErrors = WithErrors, Of extends Columns = Columns>
  extends KindEntry<Name, Input, Result, Of> {
  /** The version of its schema: 1 before the first upgrade step. */
  readonly schemaVersion: number;
} // prettier-ignore

interface WithErrors {
  readonly errors: readonly InputError[];
}

/** What it takes to read something stored: document or event. */
export type Shape<Input = unknown> = Pick<Kind<string, Input>, 'name' | 'schema' | 'upgrades' | 'schemaVersion'> & {
  evaluate(input: Input): WithErrors;
}; // prettier-ignore

/** A function that works a thing out once, however many ask for it. */
export function once<Input, Result>(work: (input: Input) => Result): (input: Input) => Result {
  const known = new WeakMap<object, Result>();
  return (input) => {
    const key = input as object;
    const before = known.get(key);
    if (before !== undefined) return before;
    const result = work(input);
    known.set(key, result);
    return result;
  };
}

/** Makes a kind of its entry. */
export const kindOf = <
  Name extends string,
  Input extends Json,
  Result extends WithErrors,
  Of extends Columns,
>(
  entry: KindEntry<Name, Input, Result, Of>,
): Kind<Name, Input, Result, Of> => ({
  ...entry,
  evaluate: once((input) => entry.evaluate(input)),
  schemaVersion: versionAfter(entry.upgrades),
});

/** Texts that say something. */
export const whole = (texts: readonly string[]): string[] => texts.filter((each) => each.trim() !== '');
