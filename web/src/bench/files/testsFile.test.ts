import { upgradeRig } from '@steady-scatter/core/rigs';
import { upgradeCalibration, evaluateCalibration } from '@steady-scatter/core/testing';
import { describe, expect, it } from 'vitest';
import demo from '../../../../demo/tarn-hollow.json' with { type: 'json' };
import type { BenchShelf } from '../calibrationContext.ts';
import { readTestsText, testsCsv, testsJson } from './testsFile.ts';

const doc = <Typed>(id: string, typed: Typed) => ({ id, version: 1, isSample: true, typed, changedAt: '' });
const SHELF = {
  rigs: demo.rigs.map(({ id, typed }) => doc(id, upgradeRig(typed as never))),
  calibrations: demo.calibrations.map(({ id, typed }) => doc(id, upgradeCalibration(typed as never))),
  products: [],
} satisfies BenchShelf;
const EMPTY: BenchShelf = { rigs: [], calibrations: [], products: [] };

describe('JSON', () => {
  it('comes back whole, machines and struck runs included', () => {
    const back = readTestsText(testsJson(SHELF), 'tests.json', EMPTY);
    expect(back.rigs.map(({ typed }) => typed)).toEqual(SHELF.rigs.map(({ typed }) => typed));
    expect(back.calibrations.map(({ typed }) => typed)).toEqual(SHELF.calibrations.map(({ typed }) => typed));
  });
  it('machines that are known here are not taken again', () =>
    expect(readTestsText(testsJson(SHELF), 'tests.json', SHELF).rigs).toEqual([]));
  it('a calibration of a machine that is nowhere comes without one', () => {
    const [lone] = readTestsText(testsJson({ ...SHELF, rigs: [] }), 'tests.json', EMPTY).calibrations;
    expect(lone).toMatchObject({ machine: 'no machine', typed: { rig: '' } });
  });
  it.each([
    ['{"format":"steady-scatter-tests","version":2}', /later version/],
    ['[]', /not one of tests/],
    ['{"format":', /breaks off/],
    ['', /empty/],
    ['{"format":"steady-scatter-tests","version":1,"rigs":[],"calibrations":[{"id":"x","typed":{}}]}', /calibrations\.0/],
  ])('%s is refused with its place', (text, sentence) =>
    expect(() => readTestsText(text, 'tests.json', EMPTY)).toThrow(sentence),
  ); // prettier-ignore
});

describe('CSV', () => {
  const back = readTestsText(`\ufeff${testsCsv(SHELF)}`, 'tests.csv', SHELF);
  it('every run comes back with its readings, by the names of the machines', () => {
    for (const { typed } of SHELF.calibrations) {
      const found = back.calibrations.find((each) => each.typed.name === typed.name)?.typed;
      expect(found?.rig).toBe(typed.rig);
      expect(found?.runs.map(({ setting, method, readings, struck }) => ({ setting, method, readings, struck }))).toEqual(
        typed.runs.map(({ setting, method, readings, struck }) => ({ setting, method, readings, struck })),
      );
    }
  }); // prettier-ignore
  it('and comes to the same rates', () => {
    for (const { typed } of SHELF.calibrations) {
      const found = back.calibrations.find((each) => each.typed.name === typed.name)!.typed;
      const rates = (of: typeof typed) =>
        evaluateCalibration(of).runs.map(({ worked }) => worked?.rateKgPerM2.toPrecision(9));
      expect(rates({ ...found, width: typed.width })).toEqual(rates(typed));
    }
  });
  it('names the line that is wrong', () => {
    const lines = testsCsv(SHELF).split('\r\n');
    const at = lines.findIndex((line) => line.includes('Before the strip'));
    const broken = lines.with(at, lines[at]!.replace('Before the strip', 'Before the walk')).join('\r\n');
    expect(() => readTestsText(broken, 'tests.csv', SHELF)).toThrow(`At line ${at + 1}: This is no reading`);
  });
});
