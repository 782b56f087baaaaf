import { describe, expect, it } from 'vitest';
import { speak } from '@steady-scatter/words/everything';
import { toResult } from '../errors/InputError.ts';
import {
  blankRig,
  blankScale,
  readMark,
  evaluateRig,
  evaluateScale,
  isByTime,
  isThrown,
  RIG_KIND_IDS,
  rigKind,
  type ScaleInput,
} from './index.ts';

const scale = (more: Partial<ScaleInput>) => evaluateScale({ ...blankScale(), ...more }, 'control');
const labels = (more: Partial<ScaleInput>) => scale(more).marks.map(({ label }) => label);

describe('scales', () => {
  it('numbers with half steps, letters, own marks', () => {
    expect(labels({ from: '0', to: '3', step: '0.5' })).toEqual(['0', '0.5', '1', '1.5', '2', '2.5', '3']);
    expect(labels({ style: 'letters', from: 'a', to: 'E' })).toEqual(['A', 'B', 'C', 'D', 'E']);
    expect(labels({ style: 'own', own: 'shut, thin line, thick line' })).toEqual(['shut', 'thin line', 'thick line']); // prettier-ignore
  });
  it('openings grow from the closed mark, whichever way the numbers run; marks behind it are left out', () => {
    expect(scale({ from: '0', to: '10', closed: '2' }).marks.map(({ opening }) => opening)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]); // prettier-ignore
    const down = scale({ from: '1', to: '5', closed: '5', firstFlow: '4' });
    expect(down.marks.map(({ label, opening }) => [label, opening])).toEqual([['5', 0], ['4', 1], ['3', 2], ['2', 3], ['1', 4]]); // prettier-ignore
    expect(down.firstFlow).toBe(1);
  });
  it('finds the mark that somebody typed', () => {
    const read = scale({ from: '0', to: '30', step: '0.5' });
    expect(readMark('7.50', read, 'setting').opening).toBe(7.5);
    expect(readMark('7½', read, 'setting').opening).toBe(7.5);
    for (const nothing of ['', ' ', '0x10', '-0.5', 'NaN']) expect(toResult(() => readMark(nothing, read, 'setting')).error?.code, nothing).toBe('scale.mark'); // prettier-ignore
    expect(speak(toResult(() => readMark('31', read, 'setting')).error!.sentence)).toContain(
      'runs from 0 to 30',
    );
    expect(toResult(() => readMark('7.3', read, 'setting')).error?.code).toBe('scale.mark');
  });
  it.each([
    [{ from: '9', to: '3' }, 'control.to', 'scale.numbers'],
    [{ from: '0', to: '9', step: '0' }, 'control.to', 'scale.numbers'],
    [{ from: '0', to: 'x' }, 'control.to', 'number.unreadable'],
    [{ style: 'letters', from: 'M', to: 'A' }, 'control.to', 'scale.letters'],
    [{ style: 'own', own: 'a, b, a' }, 'control.own', 'scale.twice'],
    [{ from: '0', to: '9', closed: '12' }, 'control.closed', 'scale.mark'],
  ] as const)('%j is refused', (more, field, code) =>
    expect(scale(more).errors.map((error) => [error.field, error.code])).toEqual([[field, code]]),
  );
});

it('a machine: pace from a course, what its kind has looked at, errors with their paths', () => {
  const rig = { ...blankRig('metric'), name: 'Red', pace: { course: '40', unit: 'm' as const, time: '29.1 s' }, before: ['tyre pressure', ' '] }; // prettier-ignore
  const read = evaluateRig(rig);
  expect(read.errors).toEqual([]);
  expect(read.paceMPerS).toBeCloseTo(40 / 29.1, 12);
  expect(read.paceIsUsual).toBe(true);
  expect(read.before.map(speak)).toContain('gate shut before filling');
  expect(read.before.at(-1)).toBe('tyre pressure');
  const wrong = evaluateRig({ ...rig, name: '', hopper: { size: '0', unit: 'kg' }, services: [{ id: 's', onDay: '2026-02-30', what: '', dueDay: '' }] }); // prettier-ignore
  expect(wrong.errors.map(({ field, code }) => [field, code])).toEqual([['name', 'name.empty'], ['hopper.size', 'quantity.not-positive'], ['services.0.onDay', 'date.unreadable']]); // prettier-ignore
});

it('what nobody named is a spreader that throws and runs by time; wheels meter by the way, a hopper drops where it is', () => {
  expect([isThrown(null), isByTime(null)]).toEqual([true, true]);
  expect([isThrown('push-rotary'), isThrown('push-drop'), isThrown('boom')]).toEqual([true, false, false]);
  expect(isByTime('push-drop')).toBe(false);
  // Nothing that has nozzles throws.
  expect(RIG_KIND_IDS.filter((kind) => isThrown(kind) && rigKind(kind).nozzles !== 'none')).toEqual([]);
});
