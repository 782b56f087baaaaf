import { createElement, Fragment, type ReactNode } from 'react';

/** What stands inside each tag of a message. */
export const TAGS = {
  b: (inside: ReactNode[]): ReactNode => createElement('b', null, ...inside),
};

/** The parts of a message with tags, to stand in markup. */
export const richly = (parts: readonly ReactNode[]): ReactNode => createElement(Fragment, null, ...parts);
