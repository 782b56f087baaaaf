import { hashKey } from '@tanstack/react-query';

/** Whether two things that are typed say the same, in whatever order their fields stand. */
export function sameInput(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  const [mine, theirs] = [JSON.stringify(a), JSON.stringify(b)];
  // In another order it is as long.
  if (mine?.length !== theirs?.length) return false;
  return mine === theirs || hashKey([a]) === hashKey([b]);
}
