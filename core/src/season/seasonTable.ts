import { message, type Message, type Speak } from '../messages/message.ts';
import { showExact } from '../quantities/show.ts';
import { evaluateApplication } from './application.ts';
import type { DoneRow } from './rounds.ts';

/** Columns of a season as a table: a row for each area of each round. */
export const SEASON_COLUMNS = [
  'storm',
  'round',
  'day',
  'start',
  'end',
  'site',
  'area',
  'sizeM2',
  'product',
  'lot',
  'machine',
  'setting',
  'pavement',
  'trend',
  'situation',
  'rate',
  'amount',
  'unit',
  'swept',
  'saltKg',
  'chlorideKg',
  'by',
  'void',
  'correction',
  'note',
] as const;
export type SeasonColumn = (typeof SEASON_COLUMNS)[number];

/**
 * What a column is called.
 *
 * @example speak(seasonHeading('saltKg')) // 'Salt, kg'
 */
export const seasonHeading = (column: SeasonColumn): Message => message(`csv.season.${column}`);

const plain = (value: number | null): string =>
  value === null
    ? ''
    : showExact(value, 5)
        .replaceAll(/[\s\u202f\u00a0]/g, '')
        .replace('−', '-');

/**
 * What was put down, as rows of cells, headings first.
 *
 * @param stormOf what a storm is called
 * @param atPlace day and time of a moment where it was, as people there say them
 * @example seasonTable([], () => '', (moment) => moment, speak).length // 1
 */
export function seasonTable(
  rows: readonly DoneRow[],
  stormOf: (id: string) => string,
  atPlace: (moment: string) => string,
  speak: Speak,
): string[][] {
  const cells = rows.map(({ input, startedAt, subject }) => {
    const { areaM2, saltKg, chlorideKg } = evaluateApplication(input);
    const [day = '', start = ''] = atPlace(startedAt).split(' ');
    const { weather, guide, product } = input;
    return [
      stormOf(subject),
      input.round,
      day,
      start,
      input.until === '' ? '' : (atPlace(input.until).split(' ')[1] ?? ''),
      input.siteName,
      input.areaName,
      plain(areaM2),
      product.name,
      product.lot,
      input.machine.name,
      input.setting,
      weather.pavement === '' ? '' : `${weather.pavement} ${weather.unit}`,
      weather.trend === '' ? '' : speak(message(`kinds.trend.${weather.trend}`)),
      guide.situation,
      input.rate.text === '' ? '' : `${input.rate.text} ${input.rate.unit}`,
      input.amount.text,
      input.amount.unit,
      input.swept.text,
      plain(saltKg),
      plain(chlorideKg),
      input.by,
      input.void,
      input.correction,
      input.note,
    ];
  });
  return [SEASON_COLUMNS.map((column) => speak(seasonHeading(column))), ...cells];
}
