import { jobs } from '@steady-scatter/contract';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { fromSi, systemOf, textWithUnit, UNITS, type UnitId } from '@steady-scatter/core/quantities';
import { overruled } from '@steady-scatter/core/runSheet';
import { blankApplication, type ApplicationInput, type WeatherInput } from '@steady-scatter/core/season';
import { paceText } from '@steady-scatter/core/testing';
import { needShown, type JobInput, type WorksheetAnswer } from '@steady-scatter/core/worksheet';
import { speak } from '@steady-scatter/words/load';
import type { RunOfSheet } from '../load/useRunSheet.ts';
import type { useJobMachine } from '../machine/useJobMachine.ts';

/** What is typed when work is recorded; everything else is the sheet's. */
export interface RecordFields {
  readonly by: string;
  readonly person: string;
  readonly license: string;
  readonly licenseUntil: string;
  readonly day: string;
  readonly until: string;
  readonly clockAhead: string;
  readonly weather: WeatherInput;
  /** What of it a limit forbids, and why it began all the same. */
  readonly checks: ApplicationInput['checks'];
  readonly cautions: readonly string[];
  readonly photos: readonly string[];
  readonly packages: string;
  readonly left: string;
  readonly note: string;
}

/** One area of a sheet to be recorded. */
export interface RecordArea {
  readonly id: string;
  readonly name: string;
  readonly areaM2: number;
  /** What it was to get in this run, kg or L. */
  readonly plannedSi: number;
}

interface Facts {
  readonly job: JobInput;
  readonly answer: WorksheetAnswer;
  readonly of: RunOfSheet;
  readonly machine: Pick<ReturnType<typeof useJobMachine>, 'chosen' | 'on'>;
  readonly fields: RecordFields;
  readonly runId: string;
}

/** Digits for a field, without the spaces that thousands are shown with. */
export const typedAs = (si: number, unit: UnitId): string => String(Number(fromSi(si, unit).toPrecision(5)));

/** The areas of a sheet with what each was to get in one run: a portion, in all its directions. */
export function recordAreas(answer: WorksheetAnswer, { sheet }: Pick<RunOfSheet, 'sheet'>): RecordArea[] {
  const { numbers, reading } = answer;
  return numbers.areas.flatMap(({ id, areaM2, amountSi }, index) => {
    if (areaM2 === null || amountSi === null) return [];
    const planned = sheet.areas.find((area) => area.id === id)?.amountSi ?? amountSi / numbers.once.portions;
    return [{ id, name: reading.areas[index]?.name || `${index + 1}`, areaM2, plannedSi: planned }];
  });
}

/** What was overruled when the sheet was marked ready. */
const checksOf = ({ sheet, input }: RunOfSheet): ApplicationInput['checks'] =>
  overruled(sheet.obstacles, input.ready).map(({ message, reason }) => ({
    said: speak(message),
    why: reason,
  }));

const waterOf = ({ water }: RunOfSheet['input']): string =>
  water.depth.trim() === '' ? '' : [textWithUnit(water.depth, water.unit), water.by, water.who].filter((text) => text.trim() !== '').join(', '); // prettier-ignore

const productOf = ({ worksheet: { product } }: JobInput): Partial<ApplicationInput> => ({
  product: {
    id: '',
    name: product.name || product.grade,
    kind: product.kind,
    grade: product.grade,
    lot: product.lot,
    density: PRODUCT_KINDS[product.kind].form === 'liquid' ? textWithUnit(product.density.text, product.density.unit) : '', // prettier-ignore
    deicer: product.deicer,
  },
  label: product,
});

/** The machine with its chart as it stood. */
function machineOf({ chosen, on }: Facts['machine'], mark: string, unit: UnitId): Partial<ApplicationInput> {
  if (!chosen || !on?.rig) return {};
  const { name, rig, signOff } = chosen.input;
  return {
    machine: { id: rig, name: on.rig.name, calibration: chosen.id },
    chart: [name, signOff?.onDay, mark].filter(Boolean).join(', '),
    setting: mark,
    chartLines: on.reading.chart.slice(0, 60).map((line) => ({ mark: line.mark.label, rate: isSameKind(on.reading.dimension, unit) ? `${typedAs(line.rateSi, unit)} ${unit}` : '' })), // prettier-ignore
  };
}

const isSameKind = (dimension: string, unit: UnitId): boolean => UNITS[unit].kind === dimension;

/**
 * What was put down on an area of a sheet, with all that makes it readable alone.
 *
 * @param isFirst the first of the run: it has the sheet along
 */
export function recordFor(
  area: RecordArea,
  amount: Pick<ApplicationInput['amount'], 'text' | 'from'>,
  { job, answer, of, machine, fields, runId }: Facts,
  isFirst: boolean,
): ApplicationInput {
  const { worksheet } = job;
  const { units } = answer;
  const from = worksheet.areas.find(({ id }) => id === area.id)?.from;
  const site = of.sites.find(({ id }) => id === from?.site)?.input;
  const run = of.sheet.areas.find(({ id }) => id === area.id);
  const open = run?.zones.find(({ zone }) => zone !== 'trim');
  const mark = open?.setting?.mark ?? '';
  const { width } = worksheet.spread;
  const blank = blankApplication(systemOf(worksheet.need.unit));
  return {
    ...blank,
    runId,
    until: fields.until,
    onDay: fields.day,
    clockAhead: fields.clockAhead,
    by: fields.by.trim(),
    person: fields.person,
    license: fields.license.trim(),
    licenseUntil: fields.licenseUntil,
    site: from?.site ?? '',
    area: from?.area ?? '',
    siteName: site?.name ?? '',
    areaName: area.name,
    size: { text: typedAs(area.areaM2, units.area), unit: units.area },
    surface: site?.areas.find(({ id }) => id === from?.area)?.surface ?? 'turf',
    ...productOf(job),
    ...machineOf(machine, mark, units.rate),
    settingRate:
      open && open.areaM2 > 0 && mark !== '' && !of.sheet.isMix
        ? typedAs(open.amountSi / open.areaM2, units.rate)
        : '',
    need: needShown(worksheet, answer),
    // Over the whole area, its lighter trims among it.
    rate: { text: typedAs(area.plannedSi / area.areaM2, units.rate), unit: units.rate },
    directions: worksheet.split.directions,
    planned: typedAs(area.plannedSi, units.amount),
    amount: { ...amount, unit: units.amount },
    packages: fields.packages.trim(),
    leftover: { text: fields.left.trim(), unit: units.amount },
    swept: { text: '', unit: units.amount, to: '' },
    pace: speak(paceText(of.sheet.paceMPerS, width.unit)),
    spacing: width.text.trim() === '' ? '' : textWithUnit(width.text, width.unit),
    weather: fields.weather,
    checks: [...checksOf(of), ...fields.checks],
    cautions: fields.cautions,
    photos: fields.photos,
    // Once for the run: its rows share it.
    sheet: isFirst ? { schemaVersion: jobs.schemaVersion, input: { ...job } } : null,
    water: waterOf(of.input),
    note: fields.note.trim(),
  };
}
