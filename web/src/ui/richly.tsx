import { Children, type ReactNode } from 'react';

/** What stands inside each tag of a message. */
export const TAGS = {
  b: (inside: ReactNode[]): ReactNode => <b>{Children.toArray(inside)}</b>,
};

/** The parts of a message with tags, to stand in markup. */
export const richly = (parts: readonly ReactNode[]): ReactNode => Children.toArray(parts);
