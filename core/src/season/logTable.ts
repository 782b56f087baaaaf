import { message, type Speak } from '../messages/message.ts';
import { fromSi } from '../quantities/convert.ts';
import { showExact } from '../quantities/show.ts';
import { UNITS } from '../quantities/units.ts';
import { evaluateApplication } from './application.ts';
import type { DoneRow } from './rounds.ts';

/** Columns of the log: what an inspector asks for of each application. */
export const LOG_COLUMNS = ['day', 'time', 'by', 'license', 'licenseUntil', 'site', 'area', 'size', 'sizeUnit', 'product', 'grade', 'lot', 'need', 'meant', 'meantUnit', 'amount', 'amountUnit', 'known', 'percent', 'delivered', 'machine', 'setting', 'pace', 'spacing', 'directions', 'packages', 'leftover', 'wind', 'rain', 'air', 'soil', 'ground', 'sky', 'water', 'checks', 'cautions', 'photos', 'note', 'void', 'correction'] as const; // prettier-ignore
export type LogColumn = (typeof LOG_COLUMNS)[number];

const plain = (value: number | null, figures = 4): string =>
  value === null ? '' : showExact(value, figures).replaceAll(/[\s\u202f\u00a0]/g, '').replace('−', '-'); // prettier-ignore

/** Each nutrient on the ground: "0.84 N; 0.28 K2O" in the unit of the rate. */
function deliveredText({ input }: DoneRow): string {
  const { unit } = input.rate;
  if (UNITS[unit].kind !== 'massPerArea') return '';
  const { delivered } = evaluateApplication(input);
  return delivered.filter(({ kgPerM2 }) => kgPerM2 > 0).map(({ nutrient, kgPerM2 }) => `${plain(fromSi(kgPerM2, unit), 3)} ${nutrient}`).join('; '); // prettier-ignore
}

function cellsOf(row: DoneRow, atPlace: (moment: string) => string): Readonly<Record<LogColumn, string>> {
  const { input, startedAt } = row;
  const [day = '', time = ''] = atPlace(startedAt).split(' ');
  const { weather, leftover } = input;
  const { ratio } = evaluateApplication(input);
  return {
    // As it was said where it was done; a clock that was changed since changes nothing.
    day: input.onDay || day,
    time,
    by: input.by,
    license: input.license,
    licenseUntil: input.licenseUntil,
    site: input.siteName,
    area: input.areaName,
    size: input.size.text,
    sizeUnit: input.size.unit,
    product: input.product.name,
    grade: input.product.grade,
    lot: input.product.lot,
    need: input.need,
    meant: input.rate.text,
    meantUnit: input.rate.text === '' ? '' : input.rate.unit,
    amount: input.amount.text,
    amountUnit: input.amount.unit,
    known: input.amount.from,
    percent: ratio === null || input.amount.from === 'planned' ? '' : plain(ratio * 100, 3),
    delivered: deliveredText(row),
    machine: input.machine.name,
    setting: input.setting,
    pace: input.pace,
    spacing: input.spacing,
    directions: input.directions,
    packages: input.packages,
    leftover: leftover.text === '' ? '' : `${leftover.text} ${leftover.unit}`,
    wind: weather.wind,
    rain: weather.rain,
    air: weather.air === '' ? '' : `${weather.air} ${weather.unit}`,
    soil: weather.soil === '' ? '' : `${weather.soil} ${weather.unit}`,
    ground: weather.ground,
    sky: weather.sky,
    water: input.water,
    checks: input.checks.map(({ said, why }) => `${said} ${why}`).join('; '),
    cautions: input.cautions.join('; '),
    photos: String(input.photos.length || ''),
    note: input.note,
    void: input.void,
    correction: input.correction,
  };
}

/**
 * What a column of the log is called.
 *
 * @example speak(logHeading('license')) // 'License'
 */
export const logHeading = (column: LogColumn) => message(`csv.log.${column}`);

/**
 * The log as rows of cells, headings first.
 *
 * @param atPlace day and time of a moment where it was, as people there say them
 * @example logTable([], (moment) => moment, speak).length // 1
 */
export const logTable = (rows: readonly DoneRow[], atPlace: (moment: string) => string, speak: Speak): string[][] => [
  LOG_COLUMNS.map((column) => speak(logHeading(column))),
  ...rows.map((row) => {
    const cells = cellsOf(row, atPlace);
    return LOG_COLUMNS.map((column) => cells[column]);
  }),
]; // prettier-ignore
