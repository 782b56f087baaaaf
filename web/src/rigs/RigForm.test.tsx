import { blankRig, RIG_KIND_IDS, type RigInput } from '@steady-scatter/core/machines';
import { InputError } from '@steady-scatter/core/errors';
import { screen, within } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { formProps } from '../testing/formProps.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { RigForm } from './RigForm.tsx';

beforeEach(() => keepDemo());

function opened(start: RigInput = blankRig('us'), isNew = true, errors: readonly InputError[] = []) {
  const held = { input: start };
  function Page() {
    const [input, set] = useState(start);
    useEffect(() => void (held.input = input), [input]);
    const errorAt = (path: string) => errors.find(({ field }) => field === path);
    return <RigForm {...formProps(input, set, errorAt)} isNew={isNew} />;
  }
  const person = inApp(<Page />);
  return { person, input: () => held.input };
}
const change = (person: ReturnType<typeof inApp>, what: string) =>
  person.click(screen.getByRole('button', { name: `Change ${what}` }));

describe('a new machine', () => {
  it('asks for its kind, its name, its scale and its hopper, and for nothing else', () => {
    opened();
    expect(screen.getAllByRole('radio')).toHaveLength(RIG_KIND_IDS.length);
    const fields = screen
      .getAllByRole('textbox')
      .map((field) => (field as HTMLInputElement).labels?.[0]?.textContent);
    expect(fields).toEqual(['Name', 'Scale', 'Hopper holds', 'Notes']);
  });
  it('its scale is said in one line, and its marks are counted', async () => {
    const { person, input } = opened();
    await person.type(screen.getByLabelText('Scale'), '1 to 5 by 0.5, closed at 5');
    expect(screen.getByText('9 marks, 5 is shut, 1 is fully open.')).toBeTruthy();
    expect(input().control).toMatchObject({ style: 'numbers', from: '1', to: '5', step: '0.5', closed: '5' });
  });
  it('own marks are told apart by commas', async () => {
    const { person, input } = opened();
    await person.type(screen.getByLabelText('Scale'), 'shut, thin line, thick line');
    expect(input().control).toMatchObject({
      style: 'own',
      own: 'shut, thin line, thick line',
      closed: 'shut',
    });
    await person.tab();
    expect(screen.getByLabelText<HTMLInputElement>('Scale').value).toBe(
      'shut, thin line, thick line, closed at shut',
    );
  });
  it('what is no scale is asked about, and stays as it was typed', async () => {
    const { person, input } = opened();
    await person.type(screen.getByLabelText('Scale'), '1 to 5, closed at 7');
    expect(screen.getByRole('alert').textContent).toMatch(/There is no mark 7 on this scale/);
    await person.tab();
    expect(screen.getByLabelText<HTMLInputElement>('Scale').value).toContain('1 to 5');
    await person.clear(screen.getByLabelText('Scale'));
    await person.type(screen.getByLabelText('Scale'), 'gate');
    expect(screen.getByRole('alert').textContent).toMatch(/Say “0 to 30 by 1\/2, closed at 0”/);
    expect(input().control.own).toBe('gate');
  });
  it('a sprayer has no gate to scale', async () => {
    const { person } = opened();
    await person.click(screen.getByRole('radio', { name: 'boom sprayer' }));
    expect(screen.queryByLabelText('Scale')).toBeNull();
    expect(screen.queryByText(/second control/i)).toBeNull();
  });
});

describe('what is assumed of a machine', () => {
  it('a width is called as its kind has it', async () => {
    const { person } = opened({ ...blankRig('us'), width: { text: '3', unit: 'ft' } });
    expect(screen.getByText('Usual pass spacing is 3 ft')).toBeTruthy();
    await person.click(screen.getByRole('radio', { name: 'push drop spreader' }));
    expect(screen.getByText('Hopper width is 3 ft')).toBeTruthy();
    await person.click(screen.getByRole('radio', { name: 'row distributor' }));
    expect(screen.getByText('Usual row spacing is 3 ft')).toBeTruthy();
    expect(screen.getByText('One outlet')).toBeTruthy();
  });
  it('a pace that is hard to hold is told at once', () => {
    opened({ ...blankRig('us'), pace: { course: '120', unit: 'ft', time: '5' } });
    expect(screen.getByText(/hard to hold with this machine/)).toBeTruthy();
  });
  it('services are noted line by line, and the next one is said', async () => {
    const { person, input } = opened();
    await change(person, 'service');
    await person.click(screen.getByRole('button', { name: 'Add service' }));
    await person.type(screen.getByLabelText('Work done'), 'new gate cable');
    await person.type(screen.getByLabelText('Due again'), '2027-03-01');
    expect(input().services[0]).toMatchObject({ what: 'new gate cable', dueDay: '2027-03-01' });
    expect(screen.getByText('One service noted, due again 1 Mar 2027')).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Remove service 1' }));
    expect(input().services).toEqual([]);
  });
  it('own checks stand beside those of the kind', async () => {
    const { person, input } = opened();
    await change(person, 'checks');
    expect(screen.getByText(/^hopper clean and dry; gate shut/)).toBeTruthy();
    await person.type(screen.getByLabelText('Own checks before use, a line each'), 'cable taut');
    expect(input().before).toEqual(['cable taut']);
    expect(screen.getByText(/, 1 of your own$/)).toBeTruthy();
  });
  it('a second control has marks of its own', async () => {
    const { person, input } = opened();
    await change(person, 'second control');
    await person.type(screen.getByLabelText('Second control name'), 'impeller speed');
    await person.type(screen.getByLabelText('Second scale'), '1 to 3');
    expect(input().second).toMatchObject({ name: 'impeller speed', from: '1', to: '3', closed: '1' });
    expect(screen.getByText('Second control: impeller speed, 1 to 3, closed at 1')).toBeTruthy();
  });
  it('what is wrong stands open with its sentence', () => {
    opened(blankRig('us'), true, [
      new InputError('quantity.not-positive', { field: 'width.text', what: 'The width', hint: '9 ft' }),
    ]);
    expect(
      within(screen.getByRole('region', { name: 'Assumed' })).getByLabelText('Pass spacing'),
    ).toBeTruthy();
  });
});

it('of one that is saved the kind stands in a line', async () => {
  const { person, input } = opened({ ...blankRig('us'), name: 'Red' }, false);
  expect(screen.queryAllByRole('radio')).toEqual([]);
  await change(person, 'kind');
  await person.click(screen.getByRole('radio', { name: 'hand rotary spreader' }));
  expect(input().kind).toBe('hand-rotary');
});
