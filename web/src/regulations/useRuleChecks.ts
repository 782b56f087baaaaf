import { MAX_PAGE } from '@steady-scatter/contract';
import { useGroundLog } from './useGroundLog.ts';
import {
  checkSheet,
  evaluateRuleSet,
  type PlannedJob,
  type RuleCheck,
  type RuleResult,
} from '@steady-scatter/core/regulations';
import { useWatch } from 'react-hook-form';
import { useParams } from 'react-router';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { JOBS } from '../kinds/useJobs.ts';
import { readable, useDocs, useList } from '../documents/docs.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';

/** The open sheet held against the crew's rules and the label. */
export interface SheetChecks {
  readonly rules: readonly RuleResult[];
  /** Name of the chosen set; null: none is chosen. */
  readonly setName: string | null;
  readonly checks: readonly RuleCheck[];
}

/** Most areas that are asked for at once. */
const MAX_ASKED = 100;

const plain = (text: string): string => text.trim().toLowerCase();

/** What else is planned on the same ground; only asked for where the label states an interval. */
function useOthers(): PlannedJob[] {
  const { answer } = useSheet();
  const { id } = useParams();
  const { areas, product } = useSheet().worksheet;
  const isAsked = answer.reading.product.leastIntervalDays !== null && areas.some(({ from }) => from);
  const ground = areas.flatMap(({ from }) => (from ? [from.area] : [])).slice(0, MAX_ASKED);
  const { data } = useList(JOBS, { filter: [`uses:${ground.join()}`], limit: MAX_PAGE }, isAsked);
  if (!isAsked || !data) return [];
  return readable<typeof JOBS.kind>(data.lines)
    .filter((job) => job.id !== id)
    .map(({ name, days, product: other }) => ({
      name,
      days,
      isSameProduct: plain(other) === plain(product.name || product.grade),
    }));
}

/** The rules of the open sheet, and how each stands. */
export function useRuleChecks(): SheetChecks {
  const { answer } = useSheet();
  const { control } = useSheetForm();
  const input = useWatch({ control, name: 'worksheet.rules' });
  const onDay = useWatch({ control, name: 'onDay' });
  const { data: sets = [] } = useDocs(RULE_SETS);
  const { data: soilTests = [] } = useDocs(SOIL_TESTS);
  const others = useOthers();
  const log = useGroundLog(onDay);
  const chosen = sets.find(({ id }) => id === input.setId);
  const rules = chosen ? evaluateRuleSet(chosen.input).rules : [];
  return {
    rules,
    setName: chosen?.input.name ?? null,
    checks: checkSheet(rules, answer, input, { onDay, soilTests, others, ...(log && { log }) }),
  };
}
