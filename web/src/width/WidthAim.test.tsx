import { blankWidthTest, evaluateWidthTest, type WidthTestInput } from '@steady-scatter/core/width';
import { screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, expect, it } from 'vitest';
import { formProps } from '../testing/formProps.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { WidthAim } from './WidthAim.tsx';

beforeEach(() => keepDemo());

function opened(start: WidthTestInput = blankWidthTest('us')) {
  const held = { input: start };
  function Page() {
    const [input, set] = useState(start);
    useEffect(() => void (held.input = input), [input]);
    const { errors } = evaluateWidthTest(input);
    const errorAt = (path: string) =>
      errors.find(({ field, code }) => field === path && !code.endsWith('.empty'));
    return <WidthAim {...formProps(input, set, errorAt)} />;
  }
  const person = inApp(<Page />);
  return { person, input: () => held.input };
}
const change = (person: ReturnType<typeof inApp>, what: string) =>
  person.click(screen.getByRole('button', { name: `Change ${what}` }));

it('asks for the machine and the way; no field is open, and trays stand as a stated default', () => {
  opened();
  expect(screen.queryAllByRole('textbox')).toEqual([]);
  expect(screen.getByText('13 trays 2 ft apart, 20 × 12 in each, 3 passes over them')).toBeTruthy();
  expect(screen.getByText('Back and forth; maximum CV 15 %')).toBeTruthy();
});

it('a machine that does not throw is not offered, and the one that is chosen names the test', async () => {
  const { person, input } = opened();
  expect(screen.queryByRole('radio', { name: /Green drop spreader/ })).toBeNull();
  await person.click(screen.getByRole('radio', { name: 'Red push spreader' }));
  expect(input().name).toBe('Red push spreader, width');
  await change(person, 'name');
  await person.clear(screen.getByLabelText('Name'));
  await person.type(screen.getByLabelText('Name'), 'My own');
  await person.click(screen.getByRole('radio', { name: /Yard truck/ }));
  expect(input().name).toBe('My own');
});

it('without trays the full throw is asked for, and nothing of trays', async () => {
  const { person, input } = opened();
  await person.click(screen.getByRole('radio', { name: 'the full throw apart' }));
  await person.type(screen.getByLabelText('Full throw'), '18');
  expect(input()).toMatchObject({ spacingMethod: 'full', throw: { text: '18' } });
  expect(screen.queryByText(/passes over them/)).toBeNull();
});

it('trays at typed places are told so', async () => {
  const { person } = opened();
  await change(person, 'tray layout');
  await person.type(screen.getByLabelText('Positions, left −'), '-2 0 2');
  expect(screen.getByText(/^Trays at -2 0 2 ft, 20 × 12 in each/)).toBeTruthy();
  expect(screen.queryByLabelText('Tray spacing')).toBeNull();
});

it('a wrong layout stands open with its sentence', () => {
  opened({ ...blankWidthTest('us'), passes: 'two' });
  expect(screen.getByLabelText('Passes over them').getAttribute('aria-invalid')).toBe('true');
});

it('one unit counts for the trays, the throw and the spacing that is looked at', async () => {
  const { person, input } = opened();
  await change(person, 'units');
  await person.selectOptions(screen.getByLabelText('Length unit'), 'm');
  expect(input()).toMatchObject({ layout: { unit: 'm' }, throw: { unit: 'm' }, looked: { unit: 'm' } });
});
