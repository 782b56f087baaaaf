import { screen } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import ProductChoices from './ProductChoices.tsx';

beforeEach(() => keepDemo());
const open = (...sheet: Parameters<typeof plainSheet>) => {
  const close = vi.fn();
  const anchor = document.body.appendChild(document.createElement('button'));
  return { close, ...onSheet(<ProductChoices place={{ anchor, close }} />, plainSheet(...sheet)) };
};
const choose = (name: string) => screen.findByRole('button', { name });

it('a product brings what its label says and leaves the need', async () => {
  const { person, worksheet, close } = open({}, { grade: '' });
  await person.click(await choose('Lake feed 24-0-8'));
  expect(worksheet().product).toMatchObject({ name: 'Lake feed 24-0-8', grade: '24-0-8', slowShare: '50 %' });
  expect(worksheet().need).toEqual({ nutrient: 'N', amount: '0.8', unit: 'lb/1000 ft2' });
  expect(close).toHaveBeenCalled();
});

it('what it would replace is asked; left as it is, nothing changes', async () => {
  const { person, worksheet } = open();
  await person.click(await choose('Organic meal 8-3-1'));
  expect(screen.getByText(/grade 8-3-1 instead of 24-0-8/)).toBeTruthy();
  await person.click(await choose('Keep the sheet'));
  expect(worksheet().product.grade).toBe('24-0-8');
});

it('what the label says is taken when it is asked for, and can be taken back', async () => {
  const { person, worksheet } = open();
  await person.click(await choose('Organic meal 8-3-1'));
  await person.click(await choose('Use the label'));
  expect(worksheet().product.grade).toBe('8-3-1');
  await person.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(worksheet().product.grade).toBe('24-0-8');
});

it('an empty label loses neither grade nor need', async () => {
  const { person, worksheet } = open();
  await person.click(await choose('dry fertilizer'));
  expect(worksheet().product.grade).toBe('24-0-8');
  expect(worksheet().need.nutrient).toBe('N');
});

it('is found by a part of its name', async () => {
  const { person } = open();
  await person.type(screen.getByRole('searchbox'), 'meal');
  expect(screen.queryByRole('button', { name: 'Lake feed 24-0-8' })).toBeNull();
  expect(await choose('Organic meal 8-3-1')).toBeTruthy();
});
