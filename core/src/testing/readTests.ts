import { InputError } from '../errors/InputError.ts';
import { isUnitOf, type LengthUnit, type MassUnit } from '../quantities/units.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { blankCalibration, blankRun, type CalibrationInput, type RunInput } from './calibrationInput.ts';
import { METHOD_IDS, METHODS, methodOf, type MethodId } from './methodTable.ts';
import { RATE_DIMENSIONS, type BenchRateUnit } from './rate.ts';
import { NOTHING_CAME_OUT, TEST_COLUMNS } from './testsTable.ts';

/** A calibration from a table, and the machine that it names. */
export interface TestsFound {
  readonly machine: string;
  readonly input: CalibrationInput;
}

const MAX_OUTLETS = 12;

type Row = Readonly<Record<(typeof TEST_COLUMNS)[number], string>>;

/** Labels of readings as earlier versions wrote them. */
const EARLIER_LABELS: Readonly<Record<string, string>> = {
  'Content of the container': 'content',
  'Full container (or its content alone)': 'content',
  'Before the strip': 'in',
  'After the strip': 'left',
  'Length of the strip': 'length',
  'Times over it': 'passes',
  'Time over the strip': 'time',
  'Course at working pace': 'course',
  'Time over the course': 'courseTime',
  'Time, run 2': 'courseTime.2',
  'Time, run 3': 'courseTime.3',
  'Time of the catch': 'catchTime',
  'Time to fill it': 'fillTime',
  'Container and product': 'gross',
  'Tray and product': 'gross',
  'Bucket and product': 'gross',
  'Empty container, if it was weighed in one': 'tare',
  Load: 'load',
  'Ground it went on': 'area',
  'What is left, weighed the same way': 'left',
};

/** What a column was called before. */
const EARLIER_COLUMNS: Readonly<Partial<Record<keyof Row, string>>> = {
  'Excluded because': 'Struck out, because',
};

/** The field that an earlier label means, "Bucket and product, outlet 2" by its outlet. */
function earlierId(label: string): string | undefined {
  const [, name = label, outlet] = /^(.*), outlet (\d+)$/.exec(label) ?? [];
  const id = EARLIER_LABELS[name];
  return id && outlet ? `${id}.${outlet}` : id;
}

/** "Weight before: 48.00 lb; Weight after: 45.05 lb" by the labels of a method. */
function readReadings(text: string, method: MethodId, line: number): Record<string, string> {
  const parts = text.split(';').map((part) => part.trim()).filter((part) => part !== ''); // prettier-ignore
  const fields = [1, MAX_OUTLETS].flatMap((outlets) => methodOf(method).fields(outlets));
  return Object.fromEntries(
    parts.map((part) => {
      const at = part.lastIndexOf(': ');
      const label = part.slice(0, at).trim();
      const field = fields.find((each) => each.label === label || each.id === earlierId(label));
      if (at < 0 || !field) throw new InputError('tests.reading', { field: `line ${line}`, input: part, hint: fields[0]!.label }); // prettier-ignore
      return [field.id, part.slice(at + 2).trim()];
    }),
  );
}

/** What bare numbers of a line are in. */
function unitsOf(row: Row, line: number): CalibrationInput['units'] {
  const [mass, length] = [row['Bare weights in'].trim() || 'kg', row['Bare lengths in'].trim() || 'm'];
  if (isUnitOf('mass', mass) && isUnitOf('length', length))
    return { mass: mass as MassUnit, length: length as LengthUnit };
  throw new InputError('unit.unknown', {
    field: `line ${line}`,
    unit: `${mass}, ${length}`,
    hint: 'lb and ft',
  });
}

function runOf(row: Row, line: number, id: string): RunInput {
  const noFlow = row['Readings'].trim() === NOTHING_CAME_OUT;
  const method = METHOD_IDS.find((each) => METHODS[each].words === row['Method'].trim());
  if (!method) throw new InputError('kind.unknown', { field: `line ${line}`, input: row['Method'], hint: METHOD_IDS.map((each) => METHODS[each].words).join(', ') }); // prettier-ignore
  return {
    ...blankRun(id, row['Day'].trim(), method),
    setting: row['Setting'].trim(),
    units: unitsOf(row, line),
    readings: noFlow ? {} : readReadings(row['Readings'], method, line),
    noFlow,
    excluded: row['Excluded because'],
    note: row['Note'],
  };
}

function headOf(row: Row, line: number): CalibrationInput {
  const unit = row['Unit of the rate'].trim();
  if (!RATE_DIMENSIONS.some((dimension) => isUnitOf(dimension, unit))) throw new InputError('unit.other-kind', { field: `line ${line}`, unit, kind: 'a weight per area', hint: 'lb/1000 ft2' }); // prettier-ignore
  const units = unitsOf(row, line);
  const width = /^(.*?)\s*([a-z]+)$/i.exec(row['Width'].trim());
  const widthUnit = width && isUnitOf('length', width[2]!) && isBareNumber(width[1]!) ? (width[2] as LengthUnit) : null; // prettier-ignore
  return {
    ...blankCalibration(units.mass === 'lb' || units.mass === 'oz' ? 'us' : 'metric'),
    name: row['Calibration'].trim(),
    product: row['Product'].trim(),
    lot: row['Lot'].trim(),
    target: { amount: row['Wanted'].trim(), unit: unit as BenchRateUnit },
    tolerance: row['Tolerance, %'].trim() || '5',
    width: { text: widthUnit ? width![1]! : row['Width'].trim(), unit: widthUnit ?? units.length, by: 'chosen' }, // prettier-ignore
    units,
  };
}

/**
 * Reads a table of tests as it is exported: a calibration for each name, a run for each row.
 *
 * @param rows cells, headings first
 * @param idFor makes the id of a run, from its line in the file
 * @throws InputError file.columns, tests.reading, kind.unknown, unit.…: with the line as its field
 * @example readTests([['Calibration']], () => 'r') // throws: columns are missing
 */
export function readTests(
  rows: readonly (readonly string[])[],
  idFor: (line: number) => string,
): TestsFound[] {
  const [headings = [], ...lines] = rows;
  const missing = TEST_COLUMNS.slice(0, 11).filter((column) => !headings.includes(column));
  if (missing.length > 0)
    throw new InputError('tests.columns', { field: 'line 1', input: missing.join(', ') });
  const found = new Map<string, TestsFound>();
  lines.forEach((cells, at) => {
    if (cells.every((cell) => cell.trim() === '')) return;
    const cellOf = (column: keyof Row) =>
      cells[headings.indexOf(column)] ?? cells[headings.indexOf(EARLIER_COLUMNS[column] ?? column)] ?? '';
    const row = Object.fromEntries(TEST_COLUMNS.map((column) => [column, cellOf(column)])) as Row;
    const line = at + 2;
    const before = found.get(row['Calibration']) ?? {
      machine: row['Machine'].trim(),
      input: headOf(row, line),
    };
    const runs = [...before.input.runs, runOf(row, line, idFor(line))];
    found.set(row['Calibration'], { ...before, input: { ...before.input, runs } });
  });
  return [...found.values()];
}

/** What a JSON file of tests begins with. */
export const TESTS_FORMAT = { format: 'steady-scatter-tests', version: 1 } as const;

/**
 * Whether something read from a JSON file is a file of tests of a version that is known here.
 *
 * @throws InputError tests.version
 * @example checkTestsFile({ format: 'steady-scatter-tests', version: 2 }) // throws
 */
export function checkTestsFile(value: unknown): void {
  const head = typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};
  if (head['format'] === TESTS_FORMAT.format && head['version'] === TESTS_FORMAT.version) return;
  const told = JSON.stringify([head['format'] ?? 'no format', head['version'] ?? 'no version']);
  throw new InputError('tests.version', { field: 'line 1', input: told });
}
