import {
  checkSheet,
  evaluateRuleSet,
  type PlannedJob,
  type RuleCheck,
  type RuleResult,
} from '@steady-scatter/core/season';
import { useWatch } from 'react-hook-form';
import { useParams } from 'react-router';
import { useSheet, useSheetForm } from '../jobs/sheet.tsx';
import { useJobList } from '../jobs/useJobs.ts';
import { useDocs } from '../documents/docs.ts';
import { SOIL_TESTS } from '../soil/useSoilTests.ts';
import { RULE_SETS } from './useRuleSets.ts';

/** The open sheet held against the crew's rules and the label. */
export interface SheetChecks {
  readonly rules: readonly RuleResult[];
  /** Name of the chosen set; null: none is chosen. */
  readonly setName: string | null;
  readonly checks: readonly RuleCheck[];
}

const plain = (text: string): string => text.trim().toLowerCase();

/** What else is planned on the same ground; only asked for where the label states an interval. */
function useOthers(): PlannedJob[] {
  const { answer } = useSheet();
  const { id } = useParams();
  const { areas, product } = useWatch({ control: useSheetForm().control, name: 'worksheet' });
  const isAsked = answer.reading.product.leastIntervalDays !== null && areas.some(({ from }) => from);
  const { data: jobs = [] } = useJobList(isAsked);
  if (!isAsked) return [];
  const keyOf = (place: { site: string; area: string }) => `${place.site}/${place.area}`;
  const ground = new Set(areas.flatMap(({ from }) => (from ? [keyOf(from)] : [])));
  return jobs
    .filter((job) => job.id !== id && job.ground.some((place) => ground.has(keyOf(place)))) // prettier-ignore
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
  const typed = useWatch({ control, name: 'worksheet.rules' });
  const onDay = useWatch({ control, name: 'onDay' });
  const { data: sets = [] } = useDocs(RULE_SETS);
  const { data: soilTests = [] } = useDocs(SOIL_TESTS);
  const others = useOthers();
  const chosen = sets.find(({ id }) => id === typed.setId);
  const rules = chosen ? evaluateRuleSet(chosen.typed).rules : [];
  return {
    rules,
    setName: chosen?.typed.name ?? null,
    checks: checkSheet(rules, answer, typed, { onDay, soilTests, others }),
  };
}
