import {
  plannedPortions,
  ruleSetOn,
  seasonReport,
  type PlanInput,
  type SeasonSite,
} from '@steady-scatter/core/plan';
import { message } from '@steady-scatter/core/messages';
import { toResult } from '@steady-scatter/core/errors';
import { readPositive } from '@steady-scatter/core/quantities';
import { evaluateRuleSet } from '@steady-scatter/core/regulations';
import { ledgerRow, type DoneRow } from '@steady-scatter/core/season';
import { cvAt, evaluateWidthTest, type WidthTestInput } from '@steady-scatter/core/width';
import { useMemo } from 'react';
import { useDocs, type Doc } from '../documents/docs.ts';
import { useApplications } from '../kinds/useApplications.ts';
import { usePlans } from '../kinds/usePlans.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { latestAccepted, useWidthTests } from '../kinds/useWidthTests.ts';
import { usePlanAreas } from '../plans/usePlan.ts';

const NONE: readonly never[] = [];

/** How unevenly a record was spread: by the tray test of its machine, at the spacing that was walked. */
function cvBy(tests: readonly Doc<WidthTestInput>[]) {
  return ({ input: { machine, spacing } }: DoneRow): number | null => {
    const test = latestAccepted(tests, machine.id);
    const pattern = test && evaluateWidthTest(test.input).pattern;
    const { value } = toResult(() => readPositive(spacing, { kind: 'length', bareUnit: 'm', field: 'spacing' }, message('errors.what.width')));
    return pattern && value ? cvAt(pattern, value.si, test.input.passPattern) : null;
  };
} // prettier-ignore

/** Plans that reach into some days. */
export const plansWithin = (plans: readonly Doc<PlanInput>[], { from, to }: { from: string; to: string }) =>
  plans.filter(({ input }) => input.fromDay <= to && input.toDay >= from);

/**
 * The report of a year against a plan.
 *
 * @param planId empty: against none, so without caps
 * @returns undefined until what it rests on has come
 */
export function useSeasonReport(year: { from: string; to: string }, planId: string): readonly SeasonSite[] | undefined {
  const rows = useApplications(null);
  const { data: plans = NONE } = usePlans();
  const { data: sets = NONE } = useDocs(RULE_SETS);
  const { data: tests } = useWidthTests();
  const { data: shelf } = useShelf();
  const areas = usePlanAreas();
  const plan = plans.find(({ id }) => id === planId)?.input;
  const { from, to } = year;
  return useMemo(() => {
    if (!rows || !shelf || !tests || !areas) return undefined;
    const rulesOn = (site: string) => {
      const id = plan ? ruleSetOn(plan, site) : '';
      const set = sets.find((each) => each.id === id);
      return set ? evaluateRuleSet(set.input).rules : [];
    };
    const cvs = new Map(rows.map((row) => [row.root, cvBy(tests)(row)]));
    return seasonReport({ year: { from, to }, rows: rows.map(ledgerRow), planned: plannedPortions(plan?.portions ?? NONE, shelf, areas), rulesOn, cvOf: (root) => cvs.get(root) ?? null });
  }, [rows, shelf, tests, sets, plan, areas, from, to]);
} // prettier-ignore
