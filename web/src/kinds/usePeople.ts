import { people } from '@steady-scatter/contract';
import { nameKey } from '@steady-scatter/core/fields';
import type { PersonInput } from '@steady-scatter/core/season';
import { useDocs, type Doc } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** Who spreads. */
export const PEOPLE = documentKind(people);

/** Everybody of the crew. */
export const usePeople = (): readonly Doc<PersonInput>[] => useDocs(PEOPLE).data ?? [];

/** The one of that name; none: somebody else. */
export const personNamed = (all: readonly Doc<PersonInput>[], name: string): Doc<PersonInput> | undefined =>
  name.trim() === '' ? undefined : all.find(({ input }) => nameKey(input.name) === nameKey(name));
