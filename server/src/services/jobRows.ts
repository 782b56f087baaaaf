import type { Job, JobSummary, JobWrite } from '@steady-scatter/contract';
import {
  answerWorksheet,
  AS_TYPED,
  readWorksheet,
  workingText,
  type WorksheetTyped,
} from '@steady-scatter/core';
import type { InferCreationAttributes } from 'sequelize';
import type { JobAreaRow, JobRow } from '../models/index.ts';

/** What a write changes in a job's row: texts and units as typed, SI values as core reads them. */
export function jobColumns({ name, onDay, worksheet }: JobWrite) {
  const { need, grade, package: pack, coverage, shownIn } = worksheet;
  const reading = readWorksheet(worksheet);
  return {
    name,
    onDay,
    nutrient: need.nutrient,
    needTyped: need.amount,
    needUnit: need.unit,
    needKgPerM2: reading.need?.si ?? null,
    gradeTyped: grade,
    packageTyped: pack.size,
    packageUnit: pack.unit,
    packageKg: reading.package?.si ?? null,
    coverageTyped: coverage.size,
    coverageUnit: coverage.unit,
    coverageM2: reading.coverage?.areaM2 ?? null,
    shownRateUnit: shownIn.rate,
    shownAmountUnit: shownIn.amount,
    shownAreaUnit: shownIn.area,
  };
}

/** The rows of a job's areas, in order. */
export function areaColumns(
  crewId: string,
  jobId: string,
  worksheet: WorksheetTyped,
): InferCreationAttributes<JobAreaRow>[] {
  const { areas } = readWorksheet(worksheet);
  return worksheet.areas.map(({ id, name, size, unit }, position) => ({
    jobId,
    id,
    crewId,
    position,
    name,
    sizeTyped: size,
    sizeUnit: unit,
    areaM2: areas[position]?.size?.areaM2 ?? null,
  }));
}

function worksheetOf(row: JobRow): WorksheetTyped {
  const areas = (row.areas ?? []).toSorted((a, b) => a.position - b.position);
  return {
    need: { nutrient: row.nutrient, amount: row.needTyped, unit: row.needUnit },
    grade: row.gradeTyped,
    areas: areas.map(({ id, name, sizeTyped, sizeUnit }) => ({ id, name, size: sizeTyped, unit: sizeUnit })),
    package: { size: row.packageTyped, unit: row.packageUnit },
    coverage: { size: row.coverageTyped, unit: row.coverageUnit },
    shownIn: { rate: row.shownRateUnit, amount: row.shownAmountUnit, area: row.shownAreaUnit },
  };
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

/** A job as it stands in the list. */
export function summaryOf(row: JobRow): JobSummary {
  const typed = worksheetOf(row);
  const { lines, numbers, units } = answerWorksheet(typed, AS_TYPED);
  return {
    id: row.id,
    isSample: row.isSample,
    name: row.name,
    onDay: row.onDay,
    need: typed.need.amount === '' ? '' : workingText({ ...lines.need, parts: lines.need.parts.slice(0, 4) }),
    grade: typed.grade,
    areas: numbers.areas.filter(({ areaM2 }) => areaM2 !== null).length,
    areaNames: typed.areas.map(({ name }) => name).filter((name) => name !== ''),
    totalM2: numbers.totalM2,
    amountKg: numbers.amountKg,
    units: { amount: units.amount, area: units.area },
  };
}
