import { InputError } from '../errors/InputError.ts';
import { message, type Message, type Speak } from '../messages/message.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { unitsSpelled } from '../quantities/spelling.ts';
import { UNITS, type UnitId } from '../quantities/units.ts';
import {
  GUIDE_PRODUCTS,
  guideRateUnit,
  MAX_GUIDE_LINES,
  TREATMENTS,
  TRENDS,
  type GuideInput,
  type GuideLineInput,
  type GuideVersionInput,
} from './guideInput.ts';

/** Columns of a guide as a table: a row for each line. */
export const GUIDE_COLUMNS = [
  'situation',
  'treatment',
  'trend',
  'cold',
  'warm',
  'temperatureUnit',
  'product',
  'low',
  'high',
  'rateUnit',
  'advice',
] as const;
export type GuideColumn = (typeof GUIDE_COLUMNS)[number];

/**
 * What a column is called.
 *
 * @example speak(guideHeading('cold')) // 'Coldest'
 */
export const guideHeading = (column: GuideColumn): Message => message(`csv.guide.${column}`);

/**
 * A version of a guide as rows of cells, headings first.
 *
 * @example guideTable(guide, guide.versions[0], speak)[1][0] // 'Frost'
 */
export function guideTable(guide: GuideInput, version: GuideVersionInput, speak: Speak): string[][] {
  const rows = version.lines.map(
    ({ situation, treatment, trend, cold, warm, product, low, high, advice }) => [
      situation,
      speak(message(`kinds.treatment.${treatment}`)),
      speak(message(`kinds.trend.${trend}`)),
      cold,
      warm,
      UNITS[guide.temperatureUnit].symbol,
      speak(message(`kinds.guideProduct.${product}`)),
      low,
      high,
      guideRateUnit(guide, product),
      advice,
    ],
  );
  return [GUIDE_COLUMNS.map((column) => speak(guideHeading(column))), ...rows];
}

const plain = (text: string): string => text.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');

/** One of a few, by what it is called or by its id; empty: the first of them. */
function choice<Id extends string>(
  ids: readonly Id[],
  cell: string,
  called: (id: Id) => string,
  field: string,
): Id {
  if (cell.trim() === '') return ids[0]!;
  const found = ids.find((id) => plain(id) === plain(cell) || plain(called(id)) === plain(cell));
  if (found === undefined)
    throw new InputError('guide.choice', { field, input: cell.trim(), hint: ids.map(called).join(', ') });
  return found;
}

/** A cell with the unit of its row where that is another one than the guide's. */
function inUnit(cell: string, rowUnit: string, own: UnitId): string {
  const unit = rowUnit.trim();
  const isBare = isBareNumber(cell.trim().replace(/^[-−]/, ''));
  if (!isBare || unit === '' || unit === own || unitsSpelled(unit).includes(own)) return cell.trim();
  return `${cell.trim()} ${unit}`;
} // prettier-ignore

/**
 * Lines of a guide from a table. Which columns there are is told by the headings; their order is free.
 *
 * @param rows headings first
 * @param guide whose units bare numbers count in
 * @throws InputError guide.columns, guide.choice, guide.lines, at `lines.<row>`
 * @example readGuideTable([['Situation', 'Low'], ['Frost', '4']], guide, () => 'a', speak)[0].low // '4'
 */
export function readGuideTable(
  rows: readonly (readonly string[])[],
  guide: GuideInput,
  newId: () => string,
  speak: Speak,
): GuideLineInput[] {
  const [headings = [], ...lines] = rows;
  const places = new Map(GUIDE_COLUMNS.map((column) => [column, headings.findIndex((heading) => [plain(column), plain(speak(guideHeading(column)))].includes(plain(heading)))])); // prettier-ignore
  if (places.get('situation') === -1 || places.get('low') === -1)
    throw new InputError('guide.columns', { field: 'lines', hint: GUIDE_COLUMNS.map((column) => speak(guideHeading(column))).join(', ') }); // prettier-ignore
  const filled = lines
    .map((cells, index) => ({ cells, row: index + 2 }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  if (filled.length > MAX_GUIDE_LINES)
    throw new InputError('guide.lines', { field: 'lines', most: MAX_GUIDE_LINES });
  return filled.map(({ cells, row }) => {
    const of = (column: GuideColumn): string => cells[places.get(column)!] ?? '';
    const field = `lines.${row}`;
    const product = choice(GUIDE_PRODUCTS, of('product'), (id) => speak(message(`kinds.guideProduct.${id}`)), field); // prettier-ignore
    const degrees = (cell: string) => inUnit(cell, of('temperatureUnit'), guide.temperatureUnit);
    const rate = (cell: string) => inUnit(cell, of('rateUnit'), guideRateUnit(guide, product));
    return {
      id: newId(),
      situation: of('situation').trim(),
      treatment: choice(['any', ...TREATMENTS], of('treatment'), (id) => speak(message(`kinds.treatment.${id}`)), field), // prettier-ignore
      trend: choice(['any', ...TRENDS], of('trend'), (id) => speak(message(`kinds.trend.${id}`)), field),
      product,
      cold: degrees(of('cold')),
      warm: degrees(of('warm')),
      low: rate(of('low')),
      high: rate(of('high')),
      advice: of('advice').trim(),
    };
  });
}
