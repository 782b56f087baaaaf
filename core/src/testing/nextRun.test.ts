import { describe, expect, it } from 'vitest';
import { blankCalibration, blankRun, keptReadings, nextRun, type RunInput } from './index.ts';

const strip = (more: Partial<RunInput> = {}): RunInput => ({
  ...blankRun('a', '2026-04-18', 'weigh-back'),
  setting: '11',
  readings: { in: '48.00', left: '45.05', length: '100' },
  checked: ['shut'],
  container: 'pail',
  ...more,
});
const calibration = (...runs: RunInput[]) => ({ ...blankCalibration('us'), runs });
const start = { id: 'b', onDay: '2026-04-18', mark: '12.5' };

describe('what holds for the next run of a method', () => {
  it('is the course, not what was weighed', () => {
    expect(keptReadings(calibration(strip()), 'weigh-back', 1)).toEqual({ length: '100' });
  });

  it('is of the last run of that method, whatever came after it', () => {
    const caught = { ...blankRun('c', '2026-04-18', 'catch'), readings: { gross: '2' } };
    const runs = calibration(strip({ readings: { length: '90' } }), strip(), caught);
    expect(keptReadings(runs, 'weigh-back', 1)).toEqual({ length: '100' });
    expect(keptReadings(runs, 'fill-time', 1)).toEqual({});
  });

  it('is nothing where its bare numbers are in other units by now', () => {
    const metric = strip({ units: { mass: 'kg', length: 'm' } });
    expect(keptReadings(calibration(metric), 'weigh-back', 1)).toEqual({});
  });
});

describe('the next run', () => {
  it('begins at the mark that is advised, looked over already on the same day', () => {
    expect(nextRun(calibration(strip()), 'weigh-back', 1, start)).toMatchObject({
      id: 'b',
      setting: '12.5',
      step: 'set',
      checked: ['shut'],
      container: 'pail',
      readings: { length: '100' },
    });
  });

  it('is looked over on another day, and the first one too', () => {
    const later = nextRun(calibration(strip()), 'weigh-back', 1, { ...start, onDay: '2026-04-19' });
    expect(later).toMatchObject({ step: 'checks', checked: [] });
    const first = nextRun(calibration(), 'weigh-back', 1, { ...start, mark: null });
    expect(first).toMatchObject({ setting: '', step: 'checks', readings: {}, width: null });
  });

  it('stands at the mark of the last one where none is advised, passes as the calibration says', () => {
    const width = { text: '9', unit: 'ft', by: 'chosen' } as const;
    const run = nextRun({ ...calibration(strip()), width }, 'weigh-back', 1, { ...start, mark: null });
    expect(run).toMatchObject({ setting: '11', width, units: { mass: 'lb', length: 'ft' } });
  });
});
