import { TEST_COLUMNS, testHeading } from '@steady-scatter/core/testing';
import { speak } from '@steady-scatter/words/bench';
import type { RigInput } from '@steady-scatter/core/machines';
import {
  evaluateCalibration,
  withRunIds,
  withRuns,
  type CalibrationAim,
  type CalibrationInput,
  type TestRunInput,
} from '@steady-scatter/core/testing';
import { describe, expect, it } from 'vitest';
import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import type { Doc } from '../../documents/docs.ts';
import type { BenchShelf } from '../calibrationContext.ts';
import { readTestsText, testsCsv, testsJson } from './testsFile.ts';

const doc = ({ id, input }: { id: string; input: unknown }) => ({ id, version: 1, schemaVersion: 2, isSample: true, input: input as never, changedAt: '' }); // prettier-ignore
const RUNS = demo.testRuns as unknown as readonly {
  id: string;
  subject: string;
  first: string | null;
  occurredAt: string;
  input: TestRunInput;
}[];
const SHELF = {
  rigs: demo.rigs.map(doc) as readonly Doc<RigInput>[],
  calibrations: demo.calibrations.map(({ id, input }) =>
    doc({
      id,
      input: withRuns(
        input as CalibrationAim,
        RUNS.filter(({ subject }) => subject === id),
        [],
      ),
    }),
  ) as readonly Doc<CalibrationInput>[],
  products: [],
} satisfies BenchShelf;
const EMPTY: BenchShelf = { rigs: [], calibrations: [], products: [] };

describe('JSON', () => {
  it('comes back whole, machines and excluded runs included', () => {
    const back = readTestsText(testsJson(SHELF), 'tests.json', EMPTY);
    expect(back.rigs.map(({ input }) => input)).toEqual(SHELF.rigs.map(({ input }) => input));
    const unmoved = (id: string) => id;
    expect(back.calibrations.map(({ input }) => input)).toEqual(
      SHELF.calibrations.map(({ input }) => withRunIds(input, unmoved)),
    );
  });
  it('machines that are known here are not taken again', () =>
    expect(readTestsText(testsJson(SHELF), 'tests.json', SHELF).rigs).toEqual([]));
  it('a calibration of a machine that is nowhere comes without one', () => {
    const [lone] = readTestsText(testsJson({ ...SHELF, rigs: [] }), 'tests.json', EMPTY).calibrations;
    expect(lone).toMatchObject({ machine: 'no machine', input: { rig: '' } });
  });
  it.each([
    ['{"format":"steady-scatter-tests","version":2}', /later version/],
    ['[]', /not one of tests/],
    ['{"format":', /breaks off/],
    ['', /empty/],
    ['{"format":"steady-scatter-tests","version":1,"rigs":[],"calibrations":[{"id":"x","typed":{}}]}', /calibrations\.0/],
    ['{"format":"steady-scatter-tests","version":1,"rigs":[{"id":"0197b1c0-0000-7000-8000-000000000001","typed":{"name":""}}],"calibrations":[]}', /At rigs\.0\.input\.name/],
  ])('%s is refused with its place', (text, sentence) =>
    expect(() => readTestsText(text, 'tests.json', EMPTY)).toThrow(sentence),
  ); // prettier-ignore
});

describe('CSV', () => {
  const back = readTestsText(`\ufeff${testsCsv(SHELF)}`, 'tests.csv', SHELF);
  it('every run comes back with its readings, by the names of the machines', () => {
    for (const { input } of SHELF.calibrations) {
      const found = back.calibrations.find((each) => each.input.name === input.name)?.input;
      expect(found?.rig).toBe(input.rig);
      expect(found?.runs.map(({ setting, method, readings, excluded }) => ({ setting, method, readings, excluded }))).toEqual(
        input.runs.map(({ setting, method, readings, excluded }) => ({ setting, method, readings, excluded })),
      );
    }
  }); // prettier-ignore
  it('and comes to the same rates', () => {
    for (const { input } of SHELF.calibrations) {
      const found = back.calibrations.find((each) => each.input.name === input.name)!.input;
      const rates = (of: typeof input) =>
        evaluateCalibration(of).runs.map(({ worked }) => worked?.rateSi.toPrecision(9));
      expect(rates({ ...found, width: input.width })).toEqual(rates(input));
    }
  });
  it('names the line that is wrong', () => {
    const lines = testsCsv(SHELF).split('\r\n');
    const index = lines.findIndex((line) => line.includes('Weight before'));
    const broken = lines.with(index, lines[index]!.replace('Weight before', 'Before the walk')).join('\r\n');
    expect(() => readTestsText(broken, 'tests.csv', SHELF)).toThrow(
      `At line ${index + 1}: This is no reading`,
    );
  });
});

it('a file that was written when readings were called otherwise is read all the same', () => {
  const earlier = testsCsv(SHELF)
    .replaceAll('Weight before:', 'Before the strip:')
    .replaceAll('Weight after:', 'After the strip:')
    .replaceAll('Strip length:', 'Length of the strip:')
    .replaceAll('Strip time:', 'Time over the strip:')
    .replaceAll('Full bucket', 'Bucket and product')
    .replace('Excluded because', '"Struck out, because"');
  const readings = (text: string) =>
    readTestsText(text, 'tests.csv', SHELF).calibrations.map(({ input }) =>
      input.runs.map(({ readings: read, excluded }) => ({ read, excluded })),
    );
  expect(earlier).toContain('Before the strip:');
  expect(SHELF.calibrations.flatMap(({ input }) => input.runs).some(({ excluded }) => excluded !== '')).toBe(
    true,
  );
  expect(readings(earlier)).toEqual(readings(testsCsv(SHELF)));
});

it('each outlet of such a file goes into its own reading', () => {
  const rig = SHELF.rigs.find(({ input }) => input.kind === 'row-distributor')!;
  const cells: Readonly<Record<string, string>> = {
    Machine: rig.input.name,
    Calibration: 'Two outlets, long ago',
    Method: 'timed catch standing still',
    Day: '2024-04-10',
    Setting: '5',
    'Unit of the rate': 'kg/ha',
    'Struck out, because': 'a bucket fell over',
    Readings:
      'Empty bucket, outlet 1: 0.5 kg; Bucket and product, outlet 1: 1.6 kg; Bucket and product, outlet 2: 1.9 kg',
  };
  const columns = TEST_COLUMNS.map((each) =>
    each === 'excluded' ? 'Struck out, because' : speak(testHeading(each)),
  );
  const quoted = (text: string) => `"${text}"`;
  const text = [columns, columns.map((column) => cells[column] ?? '')].map((row) => row.map(quoted).join(',')).join('\r\n'); // prettier-ignore
  const [run] = readTestsText(text, 'tests.csv', SHELF).calibrations[0]!.input.runs;
  expect(run!.readings).toEqual({ 'tare.1': '0.5 kg', 'gross.1': '1.6 kg', 'gross.2': '1.9 kg' });
  expect(run!.excluded).toBe('a bucket fell over');
});
