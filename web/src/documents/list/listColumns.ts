import type { Kind, ListAsk, ReadableOf } from '@steady-scatter/contract';
import type { ComponentType, ReactNode } from 'react';

/** One column of a list. */
export interface ListColumn<Line> {
  readonly header: string;
  /** The stored column that the server sorts it by; without one it is not sorted by. */
  readonly by?: string;
  /** Left out on a phone. */
  readonly wide?: boolean;
  /** Set to the right: numbers. */
  readonly end?: boolean;
  /** It stands in one line: a day. */
  readonly oneLine?: boolean;
  cell(line: Line): ReactNode;
}

/** A choice that narrows a list down to one value of a column. */
export interface ListFilter {
  readonly label: string;
  readonly column: string;
  /** "all kinds" */
  readonly all: string;
  readonly options: readonly { readonly id: string; readonly label: string }[];
}

/** What looks at all lines of a list at once, to tell of each. */
export interface MarksProps<Line> {
  readonly lines: readonly Line[];
  children(mark: (line: Line) => ReactNode): ReactNode;
}

/** What a list of stored documents is given by its page. */
export interface DocListProps<Of extends Kind> {
  kind: { readonly kind: Of; readonly home: { readonly path: string } };
  heading: string;
  tabs: ReactNode;
  /** Stands before the act that adds one; the ids of the lines that are ticked. */
  renderActs?(ticked: readonly string[]): ReactNode;
  /** Where a new one begins; its own page, unless told otherwise. */
  newPath?: string;
  newLabel?: string;
  /** What the column of names is called. */
  nameHeader?: string;
  columns: readonly ListColumn<ReadableOf<Of>>[];
  filters?: readonly ListFilter[];
  /** What to say, and show, while there is none. */
  empty: ReactNode;
  ask?: ListAsk;
  /** Under the name on a phone, where columns are left out. */
  detail?(line: ReadableOf<Of>): string;
  /** Finds out how the things are doing, and tells it in words beside their names. */
  Marks?: ComponentType<MarksProps<ReadableOf<Of>>>;
  renderAct?(line: ReadableOf<Of>): ReactNode;
}
