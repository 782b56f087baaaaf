import { message, type Message, type Speak } from '../messages/message.ts';
import { fromSi } from '../quantities/convert.ts';
import { isBareNumber } from '../quantities/numbers.ts';
import { showExact } from '../quantities/show.ts';
import { UNITS } from '../quantities/units.ts';
import type { CalibrationResult } from './calibration.ts';
import type { CalibrationInput, RunInput } from './calibrationInput.ts';
import { methodOf } from './methodTable.ts';
import { bandOfRun, unitsOf } from './readRun.ts';

/** A calibration with what it is known by and what it comes to. */
export interface TestedMachine {
  readonly machine: string;
  readonly outlets: number;
  readonly input: CalibrationInput;
  readonly reading: CalibrationResult;
}

/** Columns of a table of tests: a row for each run. Readings stand in one cell, "Weight before: 48.00 lb; …". */
export const TEST_COLUMNS = [
  'calibration',
  'machine',
  'product',
  'lot',
  'wanted',
  'tolerance',
  'width',
  'day',
  'setting',
  'method',
  'readings',
  'massUnit',
  'lengthUnit',
  'excluded',
  'note',
  'rate',
  'band',
  'rateUnit',
] as const;
export type TestColumn = (typeof TEST_COLUMNS)[number];

/**
 * What a column is called.
 *
 * @example speak(testHeading('massUnit')) // 'Weight unit'
 */
export const testHeading = (column: TestColumn): Message => message(`csv.tests.${column}`);

/** What stands for the readings of a run that gave none. */
export const NOTHING_CAME_OUT = message('csv.tests.noFlow');

const readingsText = (run: RunInput, outlets: number, speak: Speak): string =>
  run.noFlow
    ? speak(NOTHING_CAME_OUT)
    : methodOf(run.method)
        .fields(outlets)
        .flatMap(({ id, label }) =>
          run.readings[id]?.trim() ? [`${speak(label)}: ${run.readings[id]}`] : [],
        )
        .join('; ');

const plain = (number: string): string => number.replace(/\s/g, '');

/**
 * Tests as rows of cells, headings first.
 *
 * @example testsTable([{ machine: 'Red', outlets: 1, input: calibration, reading }], speak)[1][8] // '8'
 */
export function testsTable(tested: readonly TestedMachine[], speak: Speak): string[][] {
  const rows = tested.flatMap(({ machine, outlets, input, reading }) =>
    input.runs.map((run, index) => {
      const read = reading.runs[index];
      const worked = read?.worked;
      const rate = worked ? fromSi(worked.rateSi, input.target.unit) : null;
      return [
        input.name,
        machine,
        input.product,
        input.lot,
        input.target.amount,
        input.tolerance,
        isBareNumber(input.width.text) ? `${input.width.text} ${UNITS[input.width.unit].symbol}` : input.width.text, // prettier-ignore
        run.onDay,
        run.setting,
        speak(message(`kinds.method.${run.method}`)),
        readingsText(run, outlets, speak),
        unitsOf(run, input).mass,
        unitsOf(run, input).length,
        run.excluded,
        run.note,
        rate === null ? '' : plain(showExact(rate, 5)),
        rate === null || !read ? '' : plain(showExact(rate * bandOfRun(read), 2)),
        input.target.unit,
      ];
    }),
  );
  return [TEST_COLUMNS.map((column) => speak(testHeading(column))), ...rows];
}
