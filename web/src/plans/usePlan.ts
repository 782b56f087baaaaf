import {
  checkPortion,
  nearestAllowedDay,
  planBook,
  plannedPortions,
  portionStates,
  twicePlanned,
  type PlanBook,
  type PlanGround,
  type PlanInput,
  type PlannedPortion,
  type PlannedTwice,
  type PlanProduct,
  type PortionStanding,
} from '@steady-scatter/core/plan';
import { evaluateRuleSet, holdsOn, type RuleCheck } from '@steady-scatter/core/regulations';
import { ledgerRow } from '@steady-scatter/core/season';
import { useMemo } from 'react';
import { useDocs } from '../documents/docs.ts';
import { siteAreas, type SiteArea } from '../ground/siteAreas.ts';
import { useApplications } from '../kinds/useApplications.ts';
import { usePlans } from '../kinds/usePlans.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { useShelf } from '../kinds/useShelf.ts';
import { useSites } from '../kinds/useSites.ts';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { useCrew } from '../settings/CrewProvider.tsx';
import { today } from '../ui/today.ts';

/** An area as a plan and as a sheet take it. */
export interface PlanArea extends PlanGround {
  readonly asArea: SiteArea['area'];
}

/** A plan with all that is known of its portions. */
export interface PlanView {
  readonly input: PlanInput;
  readonly today: string;
  readonly shelf: readonly PlanProduct[];
  readonly areas: readonly PlanArea[];
  readonly planned: ReadonlyMap<string, PlannedPortion>;
  readonly states: ReadonlyMap<string, PortionStanding>;
  /** What is not spread yet. */
  readonly open: readonly PlannedPortion[];
  readonly book: PlanBook;
  /** What each of them breaks, by its id. */
  readonly broken: ReadonlyMap<string, readonly RuleCheck[]>;
  readonly twice: readonly PlannedTwice[];
  /** Name of the rules that it is held against; null: they are gone; empty: the label alone. */
  readonly rulesName: string | null;
  /** Nothing of it may be spread on this day, whatever the site. */
  isClosed(day: string): boolean;
}

/** The measured areas of all sites. */
export function usePlanAreas(): readonly PlanArea[] | undefined {
  const { data } = useSites();
  return useMemo(
    () =>
      data?.flatMap(
        (site) =>
        siteAreas(site).map(({ area, areaM2 }) => Object.assign({ siteName: site.input.name, areaName: area.name, areaM2, asArea: area }, area.from)), // prettier-ignore
      ),
    [data],
  );
}

/** What is broken on a day by some portions, each rule once. */
export function brokenOn(view: PlanView, portions: readonly PlannedPortion[], day: string): RuleCheck[] {
  const all = portions.flatMap((each) => checkPortion(each, day, view.book).filter(({ state }) => state === 'broken')); // prettier-ignore
  return [...new Map(all.map((check) => [check.id, check])).values()];
}

/** The allowed day of the plan that is nearest to one. */
export const nearestDay = ({ input, book }: PlanView, portions: readonly PlannedPortion[], day: string): string | null =>
  nearestAllowedDay(portions, day, { from: input.fromDay, to: input.toDay }, book); // prettier-ignore

/** Everything about a plan as it is typed now. Undefined until what it rests on has come. */
export function usePlan(input: PlanInput, id: string | null): PlanView | undefined {
  const { data: shelf } = useShelf();
  const { data: sets } = useDocs(RULE_SETS);
  const { data: soilTests } = useDocs(SOIL_TESTS);
  const { data: plans } = usePlans();
  const areas = usePlanAreas();
  const rows = useApplications(null);
  const { yearStart } = useCrew();
  const { portions } = input;
  const day = today();
  const lines = useMemo(() => rows?.map(ledgerRow), [rows]);
  return useMemo(() => {
    if (!shelf || !lines || !sets || !soilTests || !plans || !areas) return undefined;
    const rulesOf = (id: string) => {
      const set = sets.find((each) => each.id === id);
      return set ? evaluateRuleSet(set.input).rules : [];
    };
    const set = sets.find((each) => each.id === input.ruleSet);
    const rules = rulesOf(input.ruleSet);
    const rulesOn = new Map(input.rulesOn.map(({ site, ruleSet }) => [site, rulesOf(ruleSet)]));
    const allRules = [...new Set(portions.map(({ site }) => rulesOn.get(site) ?? rules))];
    const planned = new Map(plannedPortions(portions, shelf, areas).map((each) => [each.input.id, each]));
    const states = portionStates(portions, lines, day);
    const open = [...planned.values()].filter((each) => states.get(each.input.id)?.state !== 'done');
    const others = plans.filter((each) => each.id !== id);
    const theirs = others.flatMap((each) => {
      const theirStates = portionStates(each.input.portions, lines, day);
      return plannedPortions(each.input.portions, shelf, areas).filter((one) => theirStates.get(one.input.id)?.state !== 'done'); // prettier-ignore
    });
    const book = planBook({ rules, rulesOn, rows: lines, planned: [...open, ...theirs], soilTests, yearStart });
    return {
      input,
      today: day,
      shelf,
      areas,
      planned,
      states,
      open,
      book,
      broken: new Map(open.map((each) => [each.input.id, checkPortion(each, each.input.onDay, book).filter(({ state }) => state === 'broken')])), // prettier-ignore
      twice: twicePlanned(open.map((each) => each.input), others.map((each) => ({ name: each.input.name, portions: each.input.portions }))), // prettier-ignore
      rulesName: input.ruleSet === '' ? '' : (set?.input.name ?? null),
      isClosed: (of: string) => allRules.length > 0 && allRules.every((each) => each.some((rule) => rule.input.kind === 'closed' && holdsOn(rule, of))),
    };
    // A name that is typed changes nothing of what its portions are held against.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [shelf, lines, sets, portions, areas, day, plans, id, soilTests, yearStart, input.fromDay, input.toDay, input.ruleSet, input.rulesOn]); // prettier-ignore
}
