import { hashKey } from '@tanstack/react-query';

/** Whether two things that are typed say the same, in whatever order their fields stand. */
export const sameInput = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b) || hashKey([a]) === hashKey([b]);
