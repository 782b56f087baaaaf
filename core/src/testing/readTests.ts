import { message, type Speak } from '../messages/message.ts';
import { InputError } from '../errors/InputError.ts';
import { isUnitOf, type LengthUnit, type MassUnit } from '../quantities/units.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { blankCalibration, blankRun, type CalibrationInput, type RunInput } from './calibrationInput.ts';
import { EARLIER_COLUMNS, EARLIER_LABELS } from './earlierTests.ts';
import { MAX_NOZZLES } from '../machines/spray.ts';
import { METHOD_IDS, methodOf, type MethodId } from './methodTable.ts';
import { RATE_DIMENSIONS, type BenchRateUnit } from './rate.ts';
import { NOTHING_CAME_OUT, TEST_COLUMNS, testHeading, type TestColumn } from './testsTable.ts';

/** A calibration from a table, and the machine that it names. */
export interface TestsFound {
  readonly machine: string;
  readonly input: CalibrationInput;
}

const MAX_OUTLETS = MAX_NOZZLES;

type Row = Readonly<Record<TestColumn, string>>;

/** The field that an earlier label means, "Bucket and product, outlet 2" by its outlet. */
function earlierId(label: string): string | undefined {
  const [, name = label, outlet] = /^(.*), outlet (\d+)$/.exec(label) ?? [];
  const id = EARLIER_LABELS[name];
  return id && outlet ? `${id}.${outlet}` : id;
}

/** "Weight before: 48.00 lb; Weight after: 45.05 lb" by the labels of a method. */
function readReadings(text: string, method: MethodId, line: number, speak: Speak): Record<string, string> {
  const parts = text.split(';').map((part) => part.trim()).filter((part) => part !== ''); // prettier-ignore
  const fields = [1, MAX_OUTLETS].flatMap((outlets) => methodOf(method).fields(outlets));
  return Object.fromEntries(
    parts.map((part) => {
      const index = part.lastIndexOf(': ');
      const label = part.slice(0, index).trim();
      const field = fields.find((each) => speak(each.label) === label || each.id === earlierId(label));
      if (index < 0 || !field) throw new InputError('tests.reading', { field: `lines.${line}`, input: part, label: fields[0]!.label }); // prettier-ignore
      return [field.id, part.slice(index + 2).trim()];
    }),
  );
}

/** What bare numbers of a line are in. */
function unitsOf(row: Row, line: number): CalibrationInput['units'] {
  const [mass, length] = [row.massUnit.trim() || 'kg', row.lengthUnit.trim() || 'm'];
  if (isUnitOf('mass', mass) && isUnitOf('length', length))
    return { mass: mass as MassUnit, length: length as LengthUnit };
  throw new InputError('unit.unknown', {
    field: `lines.${line}`,
    unit: `${mass}, ${length}`,
    hint: 'lb and ft',
  });
}

function runOf(row: Row, line: number, id: string, speak: Speak): RunInput {
  const noFlow = row.readings.trim() === speak(NOTHING_CAME_OUT);
  const method = METHOD_IDS.find((each) => speak(message(`kinds.method.${each}`)) === row.method.trim());
  if (!method) throw new InputError('kind.unknown', { field: `lines.${line}`, input: row.method, kinds: METHOD_IDS.map((each) => message(`kinds.method.${each}`)) }); // prettier-ignore
  return {
    ...blankRun(id, row.day.trim(), method),
    setting: row.setting.trim(),
    units: unitsOf(row, line),
    readings: noFlow ? {} : readReadings(row.readings, method, line, speak),
    noFlow,
    excluded: row.excluded,
    note: row.note,
  };
}

function headOf(row: Row, line: number): CalibrationInput {
  const unit = row.rateUnit.trim();
  if (!RATE_DIMENSIONS.some((dimension) => isUnitOf(dimension, unit))) throw new InputError('unit.other-kind', { field: `lines.${line}`, unit, kind: message('kinds.quantity.massPerArea'), hint: 'lb/1000 ft2' }); // prettier-ignore
  const units = unitsOf(row, line);
  const width = /^(.*?)\s*([a-z]+)$/i.exec(row.width.trim());
  const widthUnit = width && isUnitOf('length', width[2]!) && isBareNumber(width[1]!) ? (width[2] as LengthUnit) : null; // prettier-ignore
  return {
    ...blankCalibration(units.mass === 'lb' || units.mass === 'oz' ? 'us' : 'metric'),
    name: row.calibration.trim(),
    product: row.product.trim(),
    lot: row.lot.trim(),
    target: { amount: row.wanted.trim(), unit: unit as BenchRateUnit },
    tolerance: row.tolerance.trim() || '5',
    width: { text: widthUnit ? width![1]! : row.width.trim(), unit: widthUnit ?? units.length, by: 'chosen' }, // prettier-ignore
    units,
  };
}

/**
 * Reads a table of tests as it is exported: a calibration for each name, a run for each row.
 *
 * @param rows cells, headings first
 * @param idFor makes the id of a run, from its line in the file
 * @throws InputError file.columns, tests.reading, kind.unknown, unit.…: with the line as its field
 * @example readTests([['Calibration']], () => 'r', speak) // throws: columns are missing
 */
export function readTests(
  rows: readonly (readonly string[])[],
  idFor: (line: number) => string,
  speak: Speak,
): TestsFound[] {
  const [headings = [], ...lines] = rows;
  const placeOf = (column: TestColumn): number => {
    const now = headings.indexOf(speak(testHeading(column)));
    return now < 0 ? headings.indexOf(EARLIER_COLUMNS[column] ?? '') : now;
  };
  const missing = TEST_COLUMNS.slice(0, 11).filter((column) => placeOf(column) < 0);
  if (missing.length > 0)
    throw new InputError('tests.columns', { field: 'lines.1', columns: missing.map(testHeading) });
  const found = new Map<string, TestsFound>();
  lines.forEach((cells, index) => {
    if (cells.every((cell) => cell.trim() === '')) return;
    const cellOf = (column: TestColumn) => cells[placeOf(column)] ?? '';
    const row = Object.fromEntries(TEST_COLUMNS.map((column) => [column, cellOf(column)])) as Row;
    const line = index + 2;
    const before = found.get(row.calibration) ?? {
      machine: row.machine.trim(),
      input: headOf(row, line),
    };
    const runs = [...before.input.runs, runOf(row, line, idFor(line), speak)];
    found.set(row.calibration, { ...before, input: { ...before.input, runs } });
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
  const told = JSON.stringify([head['format'] ?? null, head['version'] ?? null]);
  throw new InputError('tests.version', { field: 'lines.1', input: told });
}
