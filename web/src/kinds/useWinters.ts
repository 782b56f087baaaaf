import { winters } from '@steady-scatter/contract';
import { winterOn } from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';
import { today } from '../ui/today.ts';

/** Winters of the crew, each with its goal. */
export const WINTERS = documentKind(winters);

export const useWinters = () => useDocs(WINTERS);

/** First day of the winter that it is; null: it is none that the crew has. */
export function useWinterFrom(): string | null {
  const { data } = useWinters();
  return useMemo(
    () =>
      winterOn(
        (data ?? []).map(({ input }) => input),
        today(),
      )?.fromDay ?? null,
    [data],
  );
}
