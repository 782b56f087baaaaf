import { useMemo } from 'react';
import { useDocs, useSome } from '../documents/docs.ts';
import { rulesBroken } from '../regulations/rulesBroken.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { JOBS } from '../kinds/useJobs.ts';

/** How many rules each of these jobs breaks, by its id; one that has not come yet is not there. */
export function useRulesBroken(ids: readonly string[]): ReadonlyMap<string, number> {
  const { data: jobs = [] } = useSome(JOBS, ids);
  const { data: sets } = useDocs(RULE_SETS);
  const { data: soilTests } = useDocs(SOIL_TESTS);
  return useMemo(
    () =>
      new Map(
        sets && soilTests ? jobs.map(({ id, input }) => [id, rulesBroken(input, sets, soilTests)]) : [],
      ),
    [jobs, sets, soilTests],
  );
}
