import { screen, waitFor } from '@testing-library/react';
import { beforeEach, expect, it } from 'vitest';
import { freshDevice } from '../testing/device.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import PatchPage from './PatchPage.tsx';

beforeEach(async () => {
  await freshDevice();
  keepDemo();
});

const type = async (person: ReturnType<typeof inApp>, label: string, text: string) => {
  await person.clear(screen.getByLabelText(label));
  await person.type(screen.getByLabelText(label), text);
};

it('three entries and a product are grams, bottles, and how they go on', async () => {
  const person = inApp(<PatchPage />, '/patch');
  expect(screen.getByText(/^With the amount needed/)).toBeTruthy();
  await type(person, 'Amount needed', '0.5');
  await person.click(screen.getByRole('button', { name: 'Choose a product from the shelf' }));
  await person.click(await screen.findByRole('button', { name: 'Potassium nitrate, soluble 13-0-45' }));
  await type(person, 'Patch', '6 x 40 ft');
  // 0.5 / 0.13 x 0.24 = 0.923 lb: 14.8 oz.
  await waitFor(() => expect(screen.getByText('419 g')).toBeTruthy());
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'Put 4.92 oz into each of 3 bottles and fill them up to 32 fl oz with water.',
    'Shake until nothing lies at the bottom.',
    'Walk the whole patch with each bottle, the second time at right angles, until it is empty.',
    'Rinse it in with as much water again.',
  ]);
  await type(person, 'Bottle or can holds', '2 gal');
  expect(screen.getAllByRole('listitem')[0]!.textContent).toBe('Put 14.8 oz into the bottle and fill it up to 2 gal with water.'); // prettier-ignore
});

it('of what nothing is known it says to try a spoonful', async () => {
  const person = inApp(<PatchPage />, '/patch');
  await type(person, 'Amount needed', '0.5');
  await type(person, 'Grade on the label', '20-20-20');
  await type(person, 'Patch', '100 ft2');
  expect(screen.getByText(/How it dissolves is not known/)).toBeTruthy();
});

it('what is typed stays on this device', async () => {
  const person = inApp(<PatchPage />, '/patch');
  await type(person, 'Amount needed', '0.75');
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Save job' })).toHaveProperty('disabled', false),
  );
  await person.click(screen.getByRole('button', { name: 'Clear' }));
  expect(screen.getByLabelText<HTMLInputElement>('Amount needed').value).toBe('');
});
