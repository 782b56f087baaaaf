import { nozzles } from '@steady-scatter/contract';
import { evaluateNozzle } from '@steady-scatter/core/machines';
import type { NozzleChoice } from '@steady-scatter/core/wet';
import { useMemo } from 'react';
import { useDocs } from '../documents/docs.ts';
import { documentKind } from '../documents/documentKind.ts';

/** The crew's own nozzles. */
export const NOZZLES = documentKind(nozzles);

/** All nozzles of the crew. */
export const useNozzles = () => useDocs(NOZZLES);

/** Those whose flow is known, as what could be fitted; the one that is fitted is left out by its name. */
export function useNozzleTable(fitted: string): readonly NozzleChoice[] {
  const { data } = useNozzles();
  return useMemo(
    () =>
      (data ?? []).flatMap(({ id, input }): NozzleChoice[] => {
        const { rated, lowPa, highPa } = evaluateNozzle(input);
        return rated && input.name.trim() !== fitted.trim() ? [{ id, name: input.name, ...rated, lowPa, highPa }] : []; // prettier-ignore
      }),
    [data, fitted],
  );
}
