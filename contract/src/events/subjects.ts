import type { KindName } from '../kinds/index.ts';

/** Of which kinds each kind of event is said. A table by itself: the first screen asks it, and needs none of what reads the events. */
export const SUBJECTS = {
  testRuns: ['calibrations'],
  applications: ['storms', 'jobs', 'sites'],
  looks: ['jobs', 'sites', 'storms'],
  stockMoves: ['products'],
} as const satisfies Readonly<Record<string, readonly KindName[]>>;

/** Whether something is measured or done for documents of a kind: they are archived with it, and never deleted. */
export const isArchived = (kind: string): kind is KindName =>
  Object.values(SUBJECTS).some((subjects) => (subjects as readonly string[]).includes(kind));
