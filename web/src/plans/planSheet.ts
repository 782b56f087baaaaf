import { youngestTestOf, type SoilTestInput } from '@steady-scatter/core/need';
import { ruleSetOn, type PlannedPortion } from '@steady-scatter/core/plan';
import { newJob, worksheetFor } from '@steady-scatter/core/worksheet';
import { v7 as newId } from 'uuid';
import { say } from '@steady-scatter/words/plans';
import type { Doc } from '../documents/docs.ts';
import { saveNew } from '../documents/saving.ts';
import { JOBS } from '../kinds/useJobs.ts';
import type { PlanView } from './usePlan.ts';

/** The youngest soil test of the ground of some portions; empty: there is none. */
export const soilTestFor = (
  tests: readonly Doc<SoilTestInput>[],
  planned: readonly PlannedPortion[],
): string =>
  youngestTestOf(
    tests,
    planned.map(({ input }) => input),
  )?.id ?? '';

interface SheetAsk {
  readonly planned: readonly PlannedPortion[];
  readonly view: PlanView;
  /** Id of the soil test that it goes by; empty: none. */
  readonly soilTest: string;
}

/** Makes the sheet of what goes out together, saves it, and answers its id. */
export async function makeSheet({ planned, view, soilTest }: SheetAsk): Promise<string> {
  const [{ input: first }] = planned as [PlannedPortion];
  const label = view.shelf.find(({ id }) => id === first.product)!.input;
  const blank = worksheetFor({ ...label, stock: '' }, { nutrient: first.nutrient, amount: first.amount, unit: first.unit }, newId()); // prettier-ignore
  const areas = planned.flatMap(({ input: { area } }) => {
    const found = view.areas.find((each) => each.area === area);
    return found ? [{ ...found.asArea, id: newId() }] : [];
  });
  const worksheet = { ...blank, areas: areas.length > 0 ? areas : blank.areas, rules: { ...blank.rules, setId: ruleSetOn(view.input, first.site, view.rulesName === null), soilTest } }; // prettier-ignore
  const id = newId();
  const name = say('plans.portion.title', { what: label.name, site: first.siteName }).slice(0, 120);
  await saveNew(JOBS, id, newJob({ name, onDay: first.onDay, worksheet }));
  return id;
}
