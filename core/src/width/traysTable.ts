import { message, type Speak } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { showExact } from '../quantities/show.ts';
import { UNITS } from '../quantities/units.ts';
import { positionsOf } from './evaluateTrays.ts';
import { MAX_ROWS, MAX_TRAYS, type WidthTestInput } from './widthInput.ts';

/**
 * The trays of a test as rows of cells: the place of each, then what it caught in every row of trays.
 *
 * @example traysTable(trays, speak)[1] // ['-4', '0']
 */
export function traysTable(input: WidthTestInput, speak: Speak): string[][] {
  const { unit } = input.layout;
  const positions = positionsOf(input.layout);
  const place = (xM: number) => `${xM < 0 ? '-' : ''}${showExact(Math.abs(xM) / UNITS[unit].toSi, 6).replace(/\s/g, '')}`; // prettier-ignore
  return [
    [
      speak(message('csv.trays.place', { unit: UNITS[unit].symbol })),
      ...input.rows.map((_, index) => speak(message('csv.trays.row', { number: index + 1 }))),
    ],
    ...positions.map((xM, index) => [place(xM)].concat(input.rows.map((row) => row[index] ?? ''))),
  ];
}

/**
 * Reads such a table: places and rows of catches, in the units of the test it is read into.
 *
 * @param cells headings first
 * @throws InputError trays.table with the line as its field
 * @example readTraysTable([['Place, m', 'Row 1'], ['-1', '2'], ['0', '4'], ['1', '2']], trays).rows // [['2', '4', '2']]
 */
export function readTraysTable(
  cells: readonly (readonly string[])[],
  { layout }: WidthTestInput,
): Pick<WidthTestInput, 'layout' | 'rows'> {
  const [head = [], ...lines] = cells;
  const columns = Math.max(...lines.map(({ length }) => length), head.length);
  if (lines.length < 3 || lines.length > MAX_TRAYS || columns < 2 || columns > MAX_ROWS + 1)
    throw new InputError('trays.table', { field: 'lines.1', input: message('errors.found', { lines: lines.length, columns }) }); // prettier-ignore
  const wrong = lines.findIndex(([place = '']) => !/^[-−+]?\d/.test(place.trim()));
  if (wrong >= 0)
    throw new InputError('trays.table', {
      field: `lines.${wrong + 2}`,
      input: lines[wrong]?.join(', ') ?? '',
    });
  return {
    layout: { ...layout, positions: lines.map(([place = '']) => place.trim().replace(/\s/g, '')).join(' ') },
    rows: Array.from({ length: columns - 1 }, (_, row) => lines.map((line) => (line[row + 1] ?? '').trim())),
  };
}
