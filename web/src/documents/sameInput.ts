import { replaceEqualDeep } from '@tanstack/react-query';

/** Whether two things that are typed say the same, in whatever order their fields stand. */
export const sameInput = (a: unknown, b: unknown): boolean => replaceEqualDeep(a, b) === a;
