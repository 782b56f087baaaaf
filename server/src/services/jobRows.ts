import type { Job, JobSummary } from '@steady-scatter/contract';
import { checkSheet, portionDays, type RuleResult, type SheetFacts } from '@steady-scatter/core/season';
import { workingText } from '@steady-scatter/core/working';
import {
  answerWorksheet,
  AS_TYPED,
  upgradeWorksheet,
  type AreaInput,
  type EarlierWorksheet,
  type WorksheetInput,
} from '@steady-scatter/core/worksheet';
import type { JobAreaRow, JobRow } from '../models/index.ts';

function areaOf({ id, name, sizeTyped, sizeUnit, siteId, siteAreaId }: JobAreaRow): AreaInput {
  const area = { id, name, size: sizeTyped, unit: sizeUnit };
  return siteId && siteAreaId ? { ...area, from: { site: siteId, area: siteAreaId } } : area;
}

function worksheetOf(row: JobRow): WorksheetInput {
  const areas = (row.areas ?? []).toSorted((a, b) => a.position - b.position);
  return { ...upgradeWorksheet(JSON.parse(row.typed) as EarlierWorksheet), areas: areas.map(areaOf) };
}

/** A job as it goes over the wire, as it was typed. */
export function jobOf(row: JobRow): Job {
  const { id, version, isSample, name, onDay, updatedAt } = row;
  return {
    id,
    version,
    isSample,
    name,
    onDay,
    worksheet: worksheetOf(row),
    changedAt: updatedAt.toISOString(),
  };
}

/** What the jobs of a crew are held against. */
export interface CrewRules {
  readonly ruleSets: ReadonlyMap<string, readonly RuleResult[]>;
  readonly soilTests: SheetFacts['soilTests'];
}

/** A job as it stands in the list. */
export function summaryOf(row: JobRow, rules: CrewRules): JobSummary {
  const typed = worksheetOf(row);
  const answer = answerWorksheet(typed, AS_TYPED);
  const { lines, numbers, units, reading } = answer;
  const set = rules.ruleSets.get(typed.rules.setId) ?? [];
  const facts = { onDay: row.onDay, soilTests: rules.soilTests, others: [] };
  return {
    id: row.id,
    isSample: row.isSample,
    name: row.name,
    onDay: row.onDay,
    need: typed.need.amount === '' ? '' : workingText({ ...lines.need, parts: lines.need.parts.slice(0, 4) }),
    product: typed.product.name || typed.product.grade,
    areas: numbers.areas.filter(({ areaM2 }) => areaM2 !== null).length,
    ground: typed.areas.flatMap(({ from }) => (from ? [{ site: from.site, area: from.area }] : [])),
    days: portionDays(row.onDay, reading.split.portions, reading.split.everyDays),
    rulesBroken: checkSheet(set, answer, typed.rules, facts).filter(({ state }) => state === 'broken').length,
    areaNames: typed.areas.map(({ name }) => name).filter((name) => name !== ''),
    totalM2: numbers.totalM2,
    amountSi: numbers.amountSi,
    units: { amount: units.amount, area: units.area },
  };
}
