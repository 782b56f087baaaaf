import { blankProduct, evaluateProduct, type ProductInput } from '@steady-scatter/core/products';
import { screen, within } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { formProps } from '../testing/formProps.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { ProductForm, withKind } from './ProductForm.tsx';

beforeEach(() => keepDemo());

function opened(start: ProductInput = blankProduct('dry-fertilizer', 'us')) {
  const held = { input: start };
  function Page() {
    const [input, set] = useState(start);
    useEffect(() => void (held.input = input), [input]);
    const { errors } = evaluateProduct(input);
    const errorAt = (path: string) =>
      errors.find(({ field, code }) => field === path && !code.endsWith('.empty'));
    return <ProductForm {...formProps(input, set, errorAt)} />;
  }
  const person = inApp(<Page />);
  return { person, input: () => held.input };
}
const change = (person: ReturnType<typeof inApp>, what: string) =>
  person.click(screen.getByRole('button', { name: `Change ${what}` }));

it('a new product asks for its name, its grade, and what one package holds and covers', () => {
  opened();
  const fields = screen
    .getAllByRole('textbox')
    .map((field) => (field as HTMLInputElement).labels?.[0]?.textContent);
  expect(fields).toEqual(['Name', 'Grade', 'Package size', 'One package covers', 'Notes']);
});

describe('another kind', () => {
  it('a liquid is measured by volume and needs its density', async () => {
    const { person, input } = opened();
    await person.click(screen.getByRole('radio', { name: 'liquid fertilizer' }));
    expect(input()).toMatchObject({ kind: 'liquid-fertilizer', package: { unit: 'gal' } });
    await person.type(screen.getByLabelText('Grade'), '28-0-0');
    expect(screen.getByText(/A liquid needs its density/)).toBeTruthy();
    await person.type(screen.getByLabelText('Density'), '1.28 kg/L');
    expect(screen.queryByText(/A liquid needs its density/)).toBeNull();
  });
  it('ounces of a liquid are asked about, and the likely reading is one press away', async () => {
    const { person, input } = opened(withKind(blankProduct('dry-fertilizer', 'us'), 'liquid-fertilizer'));
    await person.type(screen.getByLabelText('Package size'), '6 oz');
    expect(screen.getByText(/Ounces by weight or fluid ounces/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Use 6 fl oz' }));
    expect(input().package.size).toBe('6 fl oz');
  });
  it('a carrier has an active ingredient in place of a grade', async () => {
    const { person } = opened();
    await person.click(screen.getByRole('radio', { name: 'granular carrier' }));
    expect(screen.getByLabelText('Active ingredient content')).toBeTruthy();
    expect(screen.queryByLabelText('Grade')).toBeNull();
    expect(screen.queryByText(/slow-release/i)).toBeNull();
  });
  it('a de-icer has neither', async () => {
    const { person } = opened();
    await person.click(screen.getByRole('radio', { name: 'dry de-icer' }));
    expect(screen.queryByLabelText('Grade')).toBeNull();
    expect(screen.queryByLabelText('Active ingredient')).toBeNull();
  });
});

describe('what else the label says', () => {
  it('stands in lines, each with its value', async () => {
    const { person, input } = opened();
    const also = within(screen.getByRole('region', { name: 'Also on the label' }));
    expect(also.getByText('No slow-release nitrogen')).toBeTruthy();
    await change(person, 'slow release');
    await person.type(screen.getByLabelText('Slow-release share'), '50');
    expect(also.getByText('Slow-release share of the nitrogen: 50 %')).toBeTruthy();
    await change(person, 'label rates');
    await person.type(screen.getByLabelText('Lowest rate'), '3');
    await person.type(screen.getByLabelText('Highest rate'), '4.2');
    await person.type(screen.getByLabelText('Shortest interval, days'), '28');
    expect(also.getByText('Label rates, lb / 1000 ft²: from 3, up to 4.2, 28 days apart')).toBeTruthy();
    expect(input().labelRate).toMatchObject({ low: '3', high: '4.2' });
  });
  it('price', async () => {
    const { person } = opened();
    await change(person, 'price');
    await person.type(screen.getByLabelText('Package price'), '24.50');
    expect(screen.getByText('24.50 a package')).toBeTruthy();
  });
  it('weather limits: wind, rain, air and ground, said in a line', async () => {
    const { person, input } = opened();
    await change(person, 'weather limits');
    await person.type(screen.getByLabelText('Wind at most'), '10');
    await person.type(screen.getByLabelText('Hours without rain after it'), '24');
    await person.click(screen.getByRole('checkbox', { name: 'soaked' }));
    expect(
      screen.getByText('Wind at most 10 mph, dry for 24 h after it, not on soaked ground.'),
    ).toBeTruthy();
    expect(input().limits).toMatchObject({ rainFree: '24', notOn: ['soaked'] });
    await person.click(screen.getByRole('checkbox', { name: 'soaked' }));
    expect(input().limits.notOn).toEqual([]);
  });
  it('settings are added and removed', async () => {
    const { person, input } = opened();
    await change(person, 'printed settings');
    await person.click(screen.getByRole('button', { name: 'Add setting' }));
    await person.type(screen.getByLabelText('Machine'), 'Red');
    await person.type(screen.getByLabelText('Setting'), '8');
    expect(input().settings).toEqual([{ machine: 'Red', setting: '8', pace: '' }]);
    await person.click(screen.getByRole('button', { name: 'Remove the setting for Red' }));
    expect(input().settings).toEqual([]);
  });
  it('a scoop is weighed full and empty, and told with its scatter', async () => {
    const { person } = opened();
    await change(person, 'scoop');
    await person.type(screen.getByLabelText('Scoop name'), 'red scoop');
    await person.type(screen.getByLabelText('Empty weight'), '0.5');
    await person.type(screen.getByLabelText('Full weight'), '2.5');
    expect(screen.getByText(/One weighing shows no scatter/)).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Add weighing' }));
    await person.type(screen.getByLabelText('Full weight 2'), '2.6');
    expect(screen.getByRole('group', { name: 'One scoop' }).textContent).toMatch(/2\.05/);
    expect(screen.getByText('Scoop: red scoop')).toBeTruthy();
  });
  it('what is wrong stands open', () => {
    opened({ ...blankProduct('dry-fertilizer', 'us'), price: 'much' });
    expect(screen.getByLabelText('Package price').getAttribute('aria-invalid')).toBe('true');
  });
});
