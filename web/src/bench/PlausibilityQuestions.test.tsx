import { blankCalibration, type CalibrationResult } from '@steady-scatter/core/testing';
import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { PlausibilityQuestions } from './PlausibilityQuestions.tsx';

beforeEach(() => keepDemo());

const doubts = (count: number) =>
  ({
    plausibility: Array.from({ length: count }, (_, index) => ({
      id: `far.${index}`,
      kind: 'far',
      runs: [`run-${index}`],
      text: `Run ${index} comes to 150 times the rate.`,
      yes: 'It is right',
    })),
  }) as unknown as CalibrationResult;
const input = {
  ...blankCalibration('us'),
  runs: Array.from({ length: 9 }, (_, index) => ({ id: `run-${index}` })) as never,
};

it.each([
  [1, 1, null],
  [3, 3, null],
  [4, 3, 'One more question comes after these.'],
  [500, 3, '497 more questions come after these.'],
])('of %i doubts %i are asked at once', (count, asked, more) => {
  inApp(<PlausibilityQuestions input={input} reading={doubts(count)} set={vi.fn()} />);
  expect(screen.getAllByRole('alert')).toHaveLength(asked);
  if (more === null) expect(screen.queryByText(/after these/)).toBeNull();
  else expect(screen.getByText(more)).toBeTruthy();
});

it('is answered with yes, or by excluding the run that it is about', async () => {
  const set = vi.fn();
  const person = inApp(<PlausibilityQuestions input={input} reading={doubts(1)} set={set} />);
  await person.click(screen.getByRole('button', { name: 'It is right' }));
  expect(set).toHaveBeenLastCalledWith('confirmed', ['far.0']);
  await person.click(screen.getByRole('button', { name: 'Exclude test run 1' }));
  expect(set).toHaveBeenLastCalledWith('runs.0.excluded', 'it went wrong');
});
