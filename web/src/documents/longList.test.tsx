import { calibrationInput, blankCalibration, blankRun } from '@steady-scatter/core/testing';
import { act, renderHook } from '@testing-library/react';
import { useForm, useWatch } from 'react-hook-form';
import { expect, it } from 'vitest';
import { fieldsOf } from './fields.ts';
import { LongList, packed, unpacked, valuesOf } from './longList.ts';

const run = (id: string) => blankRun(id, '2026-04-10', 'weigh-back');
const WHOLE = { ...blankCalibration('us'), name: 'Red', runs: [run('a'), run('b')] };

function opened() {
  const { result } = renderHook(() => {
    const form = useForm({ defaultValues: packed(WHOLE, 'runs') });
    const input = unpacked(useWatch({ control: form.control }) as typeof WHOLE, 'runs');
    return { form, input, values: valuesOf(form, 'runs'), fields: fieldsOf(form, input, () => undefined) };
  });
  return {
    now: () => result.current,
    calibration: () => calibrationInput.parse(result.current.values.get()),
  };
}

it('is one value of the form, and comes out as it went in', () => {
  const { now } = opened();
  expect(now().form.getValues('runs')).toBeInstanceOf(LongList);
  expect(now().values.get()).toEqual(WHOLE);
  expect(unpacked(packed(WHOLE, undefined), undefined)).toBe(WHOLE);
});

it('an item is changed by its path, and all others stay the same objects', () => {
  const { now, calibration } = opened();
  const [first] = now().input.runs;
  act(() => now().fields.set('runs.1.setting', '12'));
  act(() => now().fields.set('runs.1.readings.in', '18.00'));
  expect(calibration().runs[1]).toMatchObject({ setting: '12', readings: { in: '18.00' } });
  expect(now().input.runs[0]).toBe(first);
  expect(WHOLE.runs[1]!.setting).toBe('');
});

it('items are added and taken away', () => {
  const { now, calibration } = opened();
  act(() => now().fields.add('runs', run('c')));
  act(() => now().fields.removeAt('runs', 0));
  expect(calibration().runs.map(({ id }) => id)).toEqual(['b', 'c']);
});

it('what else is typed leaves the list as it is', () => {
  const { now } = opened();
  const { runs } = now().input;
  act(() => now().fields.set('target.amount', '3.3'));
  expect(now().input.target.amount).toBe('3.3');
  expect(now().input.runs).toBe(runs);
});

it('another state is put in its place as a whole', () => {
  const { now } = opened();
  act(() => now().values.put({ ...WHOLE, runs: [] }));
  expect(now().values.get().runs).toEqual([]);
  act(() => now().fields.add('runs', run('d')));
  expect(now().values.get().runs).toHaveLength(1);
});
